<?php

declare(strict_types=1);

namespace Octavum\Store\Lay;

use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Pattern\Pattern;
use Octavum\Store\Cloth\CutRecord;
use Octavum\Store\Pattern\VersionRecord;

/** What has been built of stored things while projects are, so that they share it; by id. */
final class IdentityMap
{
    /** @var array<string, SavedLay> */
    public array $lays = [];

    /** @var array<string, Person> */
    public array $people = [];

    /** @var array<string, LayRecord> read already */
    public array $laid = [];

    /** @var array<string, CutRecord> read already */
    public array $cuts = [];

    /** @var array<string, VersionRecord> read already */
    public array $versions = [];

    /**
     * @param array<string, Cloth>   $cloths
     * @param array<string, Pattern> $patterns
     */
    public function __construct(public readonly Assumptions $assumptions, public array $cloths = [], public array $patterns = [])
    {
    }
}
