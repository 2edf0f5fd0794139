<?php

declare(strict_types=1);

namespace Octavum\Page;

/**
 * One page of a long list.
 *
 * @template T
 */
final readonly class Pager
{
    private const SIZE = 50;

    /** @param list<T> $items of this page */
    private function __construct(public array $items, public int $page, public int $pages, public int $total)
    {
    }

    /**
     * @template U
     *
     * @param list<U> $all
     *
     * @return self<U>
     */
    public static function of(array $all, int $page): self
    {
        $pages = max(1, (int) ceil(\count($all) / self::SIZE));
        $page = max(1, min($page, $pages));

        return new self(\array_slice($all, ($page - 1) * self::SIZE, self::SIZE), $page, $pages, \count($all));
    }
}
