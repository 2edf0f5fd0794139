<?php

declare(strict_types=1);

namespace Octavum\Account;

use Octavum\Core\Workroom\DayReader;
use Octavum\Input\Entry;
use Octavum\Input\FromQuery;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;

/** Gives a controller what was typed. */
final readonly class EntryResolver implements ValueResolverInterface
{
    public function __construct(private AccountSettings $settings, private ClockInterface $clock)
    {
    }

    /** @return list<Entry> */
    public function resolve(Request $request, ArgumentMetadata $argument): array
    {
        if (Entry::class !== $argument->getType()) {
            return [];
        }
        $typed = [] === $argument->getAttributesOfType(FromQuery::class) ? $request->request : $request->query;

        return [new Entry($typed->all(), new DayReader($this->settings->current()->dates, $this->clock->now()))];
    }
}
