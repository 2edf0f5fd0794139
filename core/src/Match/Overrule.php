<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

/** The sewist knows better: a cloth will do for a version, whatever the rules say. Lengths cannot be overruled. */
final readonly class Overrule
{
    /**
     * @param string $cloth   its id
     * @param string $version its id
     * @param string $reason  in the sewist's words
     */
    public function __construct(public string $cloth, public string $version, public string $reason, public \DateTimeImmutable $on)
    {
    }

    /**
     * @param list<self> $all
     *
     * @return array<string, string> reasons by cloth and version
     */
    public static function reasons(array $all): array
    {
        $reasons = [];
        foreach ($all as $one) {
            $reasons[self::key($one->cloth, $one->version)] = $one->reason;
        }

        return $reasons;
    }

    public static function key(string $cloth, string $version): string
    {
        return $cloth.' '.$version;
    }
}
