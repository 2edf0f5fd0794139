<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Core\Laid\LaySetup;

/** A lay's setup as read, with what the page must know of it. */
final readonly class Setup
{
    /**
     * @param array<string, mixed> $asked as it came, to be sent again
     * @param list<list<string>>   $sizes of each garment that may be laid in another; none for a project's
     * @param list<string>         $known of each garment: "pieces", "calibrated" or "rough" blocks, or "none"
     */
    public function __construct(public LaySetup $lay, public array $asked, public array $known, public array $sizes)
    {
    }
}
