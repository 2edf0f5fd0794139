<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\PersistentCollection;

/**
 * Fills collections with what was loaded apart from their owners. Joined in one query each row would carry all columns of the
 * owner once more, its JSON decoded each time, which was most of what a page of sixty projects took (docs/decisions/0016).
 */
final readonly class Apart
{
    /**
     * @template T of object
     *
     * @param iterable<Collection<int, T>>    $collections of all owners; those that are loaded already stay as they are
     * @param iterable<T>                     $elements    of all of them, in the order they shall have
     * @param \Closure(T): Collection<int, T> $of          the collection an element belongs to
     */
    public static function fill(iterable $collections, iterable $elements, \Closure $of): void
    {
        $empty = [];
        foreach ($collections as $collection) {
            if ($collection instanceof PersistentCollection && !$collection->isInitialized()) {
                $collection->setInitialized(true);
                $empty[spl_object_id($collection)] = $collection;
            }
        }
        foreach ($elements as $element) {
            ($empty[spl_object_id($of($element))] ?? null)?->hydrateAdd($element);
        }
    }
}
