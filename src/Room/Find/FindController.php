<?php

declare(strict_types=1);

namespace Octavum\Room\Find;

use Doctrine\DBAL\Connection;
use Octavum\Account\Account;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Find\Forgiving;
use Octavum\Input\SearchWords;
use Octavum\Store\Cloth\Stash;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Finds a cloth, pattern, project, notion or person by any words of it, to jump there; when there is none, by words that mean the
 * same, or nearly look the same.
 */
final class FindController extends AbstractController
{
    private const MOST = 8;

    /** Of each kind: its name, what tells it from its twins, and what else it is found by, of what the account has. */
    private const SOURCES = [
        'project' => "SELECT r.id, r.name, s.name || COALESCE(', for ' || h.name, '') || COALESCE(', size ' || o.size, '') || COALESCE(', ' || (SELECT c.name FROM claim a JOIN cut k ON k.id = a.cut_id JOIN cloth c ON c.id = k.cloth_id WHERE a.option_id = o.id AND a.role = 'main' AND a.copy_id IS NULL LIMIT 1), '') AS more, r.notes AS rest, COALESCE(p.garment, '') AS garment FROM project r JOIN season s ON s.id = r.season_id LEFT JOIN person h ON h.id = r.person_id LEFT JOIN project_option o ON o.id = r.current_id LEFT JOIN version v ON v.id = o.version_id LEFT JOIN pattern p ON p.id = v.pattern_id WHERE s.account_id = :account AND r.removed_at IS NULL",
        'cloth' => "SELECT r.id, r.name, r.place AS more, COALESCE(r.type, '') || ' ' || r.fibres || ' ' || r.kept_with || ' ' || r.origin || ' ' || r.notes AS rest, '' AS garment FROM cloth r WHERE r.account_id = :account AND r.removed_at IS NULL",
        'pattern' => "SELECT r.id, r.title AS name, TRIM(r.maker || ' ' || r.number) AS more, r.other_numbers || ' ' || r.garment || ' ' || r.place AS rest, r.garment FROM pattern r WHERE r.account_id = :account AND r.removed_at IS NULL",
        'notion' => "SELECT r.id, r.kind || ' ' || r.name AS name, r.place AS more, r.notes AS rest, '' AS garment FROM notion r WHERE r.account_id = :account AND r.removed_at IS NULL",
        'person' => "SELECT r.id, r.name, '' AS more, r.notes AS rest, '' AS garment FROM person r WHERE r.account_id = :account AND r.removed_at IS NULL",
    ];

    public function __construct(private readonly Connection $connection, private readonly Stash $stash)
    {
    }

    #[Route('/find', name: 'find', methods: ['GET'])]
    public function find(Request $request, #[CurrentUser] Account $account): Response
    {
        $text = mb_substr(trim($request->query->getString('q')), 0, 80);
        $words = \array_slice(SearchWords::of($text), 0, 6);
        $where = implode(
            ' AND ',
            array_map(
                static fn (int $i): string => "name || ' ' || more || ' ' || rest LIKE :word".$i." ESCAPE '!'",
                array_keys($words),
            ),
        );
        $with = [];
        foreach ($words as $i => $word) {
            $with['word'.$i] = '%'.strtr($word, ['!' => '!!', '%' => '!%', '_' => '!_']).'%';
        }
        $found = [];
        foreach ([] === $words ? [] : array_keys(self::SOURCES) as $kind) {
            $found = [...$found, ...$this->rows($kind, ' WHERE '.$where.' LIMIT '.self::MOST, $with, $account)];
        }
        $found = [] === $found && [] !== $words ? $this->forgiving($text, $account) : $found;

        return $this->render($request->isXmlHttpRequest() ? 'find/_found.html.twig' : 'find/show.html.twig', [
            'found' => $found,
            'cloths' => $this->cloths($found, $account),
            'text' => $text,
        ]);
    }

    /**
     * @param list<Found> $found
     *
     * @return array<string, Cloth> those found, by id
     */
    private function cloths(array $found, Account $account): array
    {
        $ids = array_column(array_filter($found, static fn (Found $one): bool => 'cloth' === $one->kind), 'id');

        return [] === $ids ? [] : array_intersect_key(array_column($this->stash->all($account), null, 'id'), array_flip($ids));
    }

    /** @return list<Found> */
    private function forgiving(string $text, Account $account): array
    {
        $texts = $rows = [];
        foreach (array_keys(self::SOURCES) as $kind) {
            foreach ($this->rows($kind, '', [], $account) as $row) {
                $rows[$kind.$row->id] = $row;
                $texts[$kind.$row->id] = $row->name.' '.$row->more.' '.$row->rest;
            }
        }

        return array_map(static fn (string $key): Found => $rows[$key], (new Forgiving())->find($text, $texts, self::MOST));
    }

    /**
     * @param array<string, string> $with parameters
     *
     * @return list<Found>
     */
    private function rows(string $kind, string $where, array $with, Account $account): array
    {
        /** @var list<array{id: string, name: string, more: string, rest: string, garment: string}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            'SELECT * FROM ('.self::SOURCES[$kind].')'.$where,
            ['account' => $account->id] + $with,
        );

        return array_map(static fn (array $row): Found => new Found($kind, ...$row), $rows);
    }
}
