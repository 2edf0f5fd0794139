<?php

declare(strict_types=1);

namespace Octavum\Room\Settings;

use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Shows back, while someone types a length, what it is understood as. */
final readonly class LengthController
{
    #[Route('/read/length', name: 'read_length', methods: ['GET'])]
    public function read(Request $request, AccountSettings $settings, SentenceWriter $sentences): JsonResponse
    {
        $tape = $settings->tape();
        try {
            $length = Length::parse($request->query->getString('text'), Unit::SYMBOLS[$request->query->getString('unit')] ?? Unit::Metre);
        } catch (Unreadable $unreadable) {
            return new JsonResponse(['understood' => false, 'text' => $sentences->write($unreadable->sentence, $tape)]);
        }
        $other = new LengthFormatter(System::Metric === $tape->system ? System::Imperial : System::Metric);
        $figure = 'width' === $request->query->getString('as') ? Figure::width($length) : Figure::owned($length);

        return new JsonResponse([
            'understood' => true,
            'millimetres' => $length->millimetres(),
            'text' => \sprintf('%s (%s)', $tape->write($figure), $other->write($figure)),
        ]);
    }
}
