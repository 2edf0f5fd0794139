<?php

declare(strict_types=1);

namespace Octavum\Find;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Cloth\ClothRecord;
use Octavum\Core\Find\Forgiving;
use Octavum\Input\Words;
use Octavum\Notions\NotionRecord;
use Octavum\Pattern\PatternRecord;
use Octavum\People\PersonRecord;
use Octavum\Season\ProjectRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Finds a cloth, pattern, project, notion or person by any words of it, to jump there; when there is none, by words that mean the same, or nearly look the same. */
final class FindController extends AbstractController
{
    private const MOST = 8;

    private const SOURCES = [
        'project' => ['SELECT r.id, r.name AS name, s.name AS more FROM '.ProjectRecord::class.' r JOIN r.season s WHERE s.account = :account AND r.removedAt IS NULL', ['r.name', 'r.notes']],
        'cloth' => ['SELECT r.id, r.name AS name, r.place AS more FROM '.ClothRecord::class.' r WHERE r.account = :account AND r.removedAt IS NULL', ['r.name', 'r.place', 'r.notes', 'r.type', 'r.fibres']],
        'pattern' => ['SELECT r.id, r.title AS name, r.number AS more FROM '.PatternRecord::class.' r WHERE r.account = :account AND r.removedAt IS NULL', ['r.title', 'r.maker', 'r.number', 'r.otherNumbers', 'r.garment', 'r.place']],
        'notion' => ['SELECT r.id, CONCAT(r.kind, \' \', r.name) AS name, r.place AS more FROM '.NotionRecord::class.' r WHERE r.account = :account AND r.removedAt IS NULL', ['r.name', 'r.kind', 'r.place', 'r.notes']],
        'person' => ['SELECT r.id, r.name AS name, r.notes AS more FROM '.PersonRecord::class.' r WHERE r.account = :account AND r.removedAt IS NULL', ['r.name', 'r.notes']],
    ];

    #[Route('/find', name: 'find', methods: ['GET'])]
    public function find(Request $request, EntityManagerInterface $entities, #[CurrentUser] Account $account): Response
    {
        $text = mb_substr(trim($request->query->getString('q')), 0, 80);
        $words = \array_slice(Words::of($text), 0, 6);
        $found = [];
        foreach ([] === $words ? [] : self::SOURCES as $kind => [$select, $fields]) {
            $query = $entities->createQuery($select.implode('', array_map(
                static fn (int $i): string => ' AND ('.implode(' OR ', array_map(static fn (string $field): string => $field.' LIKE :word'.$i." ESCAPE '!'", $fields)).')',
                array_keys($words),
            )))->setParameter('account', $account)->setMaxResults(self::MOST);
            foreach ($words as $i => $word) {
                $query->setParameter('word'.$i, '%'.strtr($word, ['!' => '!!', '%' => '!%', '_' => '!_']).'%');
            }
            /** @var list<array{id: string, name: string, more: string}> $rows */
            $rows = $query->getArrayResult();
            foreach ($rows as $row) {
                $found[] = ['kind' => $kind] + $row;
            }
        }

        $found = [] === $found && [] !== $words ? $this->forgiving($text, $entities, $account) : $found;

        return $this->render($request->isXmlHttpRequest() ? 'find/_found.html.twig' : 'find/show.html.twig', ['found' => $found, 'text' => $text]);
    }

    /** @return list<array{kind: string, id: string, name: string, more: string}> */
    private function forgiving(string $text, EntityManagerInterface $entities, Account $account): array
    {
        $texts = $rows = [];
        foreach (self::SOURCES as $kind => [$select, $fields]) {
            $more = array_values(array_diff($fields, ['r.name', 'r.title', 'r.number', 'r.notes']));
            $wanted = implode(', ', array_map(static fn (string $field, int $i): string => $field.' AS field'.$i, $more, array_keys($more)));
            /** @var list<array<string, mixed>> $all */
            $all = $entities->createQuery(str_replace(' FROM ', ('' === $wanted ? '' : ', '.$wanted).' FROM ', $select))->setParameter('account', $account)->getArrayResult();
            foreach ($all as $row) {
                $strings = array_map(static fn (mixed $value): string => $value instanceof \BackedEnum ? (string) $value->value : (\is_array($value) ? implode(' ', array_map(static fn (mixed $part): string => \is_string($part) ? $part : '', [...array_keys($value), ...array_values($value)])) : (\is_string($value) ? $value : '')), $row);
                $key = $kind.' '.$strings['id'];
                $rows[$key] = ['kind' => $kind, 'id' => $strings['id'], 'name' => $strings['name'], 'more' => $strings['more']];
                unset($strings['id']);
                $texts[$key] = implode(' ', $strings);
            }
        }

        return array_map(static fn (string $key): array => $rows[$key], (new Forgiving())->find($text, $texts, self::MOST));
    }
}
