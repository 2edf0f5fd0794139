<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\PatternLine\LineReader;
use Octavum\Core\PatternLine\Twins;
use Octavum\Input\Entry;
use Octavum\Input\HaulLines;
use Octavum\Store\Pattern\Library;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Patterns line by line, shown as they are understood; one that is owned already says so before it is saved. */
#[Route('/patterns/haul', priority: 1)]
final class PatternHaulController extends AbstractController
{
    /** A note as one writes it before a box of patterns, to try the reading of lines with. */
    private const EXAMPLE = 'Q112 wrap dress, PDF, 8-20, not printed, needs 3 buttons 18mm';

    public function __construct(private readonly Library $library, private readonly PatternHaul $haul)
    {
    }

    #[Route('', name: 'pattern_haul', methods: ['GET', 'POST'])]
    public function haul(Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        if ($request->isMethod('GET') && $request->query->getBoolean('example')) {
            $entry = new Entry(['haul' => self::EXAMPLE]);
        }
        $lines = $this->lines($entry, $account);
        if ($request->isMethod('POST')) {
            if ([] === $lines) {
                $entry->fault('haul', new Sentence('Nothing is typed yet: one line for each pattern, such as Q112 wrap dress, PDF, 8-20.'));
            }
            $twins = array_filter($lines, static fn (HaulRow $row): bool => [] !== $row->twins);
            if ([] !== $twins && !$entry->boolean('both')) {
                $entry->fault(
                    'both',
                    new Sentence(
                        '{count, plural, one {One of these may be} other {# of these may be}} in the library already: look at {count, plural, one {the line} other {the lines}} marked below.',
                        ['count' => \count($twins)],
                    ),
                );
            }
            if ($entry->isSound()) {
                $this->haul->put(array_column($lines, 'line'), $account);

                return $this->redirectToRoute('patterns');
            }
        }

        return $this->render(
            'pattern/haul.html.twig',
            ['values' => $entry->typed, 'lines' => $lines, 'faults' => $entry->faults()],
            new Response(status: $entry->status()),
        );
    }

    /** What the lines are understood as; nothing is saved. */
    #[Route('/read', name: 'pattern_haul_read', defaults: ['_reads' => true], methods: ['POST'])]
    public function read(Request $request, #[CurrentUser] Account $account): Response
    {
        return $this->render('pattern/_haul.html.twig', ['lines' => $this->lines(new Entry($request->request->all()), $account)]);
    }

    /** @return list<HaulRow> */
    private function lines(Entry $entry, Account $account): array
    {
        $typed = HaulLines::of($entry, 'pattern');
        $known = [] === $typed ? [] : $this->library->sketches($account);

        return array_map(static function (string $text) use ($known): HaulRow {
            $line = (new LineReader())->read($text);

            return new HaulRow($line, (new Twins())->find($line->pattern(), $known));
        }, $typed);
    }
}
