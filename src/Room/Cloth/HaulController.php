<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Haul\HaulLine;
use Octavum\Core\Haul\HaulReader;
use Octavum\Core\Measure\Sentence;
use Octavum\Input\Entry;
use Octavum\Input\HaulLines;
use Octavum\Store\Change\Notice;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A haul: one line of text a cloth, shown as it is understood while it is typed. */
#[Route('/cloth/haul', priority: 1)]
final class HaulController extends AbstractController
{
    /** A note as one writes it in a shop, to try the reading of lines with. */
    private const EXAMPLE = <<<'LINES'
        2.5 m navy linen, 140 wide, 18/m, market
        1.20 m cotton lawn small herons one-way 136 wide
        3 yd 45" lining plum
        LINES;

    public function __construct(
        private readonly AccountSettings $settings,
        private readonly HaulStore $store,
    ) {
    }

    #[Route('', name: 'haul', methods: ['GET', 'POST'])]
    public function haul(Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        if ($request->isMethod('GET') && $request->query->getBoolean('example')) {
            $entry = new Entry(['haul' => self::EXAMPLE]);
        }
        $lines = $this->lines($entry, $account);
        if ($request->isMethod('POST')) {
            if ([] === $lines) {
                $entry->fault(
                    'haul',
                    new Sentence('Nothing is typed yet: one line for each cloth, such as 1.8m 142cm cotton drill bottle green.'),
                );
            }
            if ($entry->isSound()) {
                $this->store->put($lines, $account, new Notice(
                    '{count, plural, one {One cloth is} other {# cloths are}} in the stash.',
                    ['count' => (string) \count($lines)],
                    $this->generateUrl('cloths'),
                ));

                return $this->redirectToRoute('cloths', ['sort' => 'newest']);
            }
        }

        return $this->render(
            'cloth/haul.html.twig',
            ['values' => $entry->typed, 'lines' => $lines, 'faults' => $entry->faults()],
            new Response(status: $entry->status()),
        );
    }

    /** What the lines are understood as; nothing is saved. */
    #[Route('/read', name: 'haul_read', defaults: ['_reads' => true], methods: ['POST'])]
    public function read(Request $request, #[CurrentUser] Account $account): Response
    {
        return $this->render('cloth/_haul.html.twig', ['lines' => $this->lines(new Entry($request->request->all()), $account)]);
    }

    /** @return list<HaulLine> */
    private function lines(Entry $entry, Account $account): array
    {
        $reader = new HaulReader();
        $system = $this->settings->load($account)->system;

        return array_map(static fn (string $line): HaulLine => $reader->read($line, $system), HaulLines::of($entry, 'cloth'));
    }
}
