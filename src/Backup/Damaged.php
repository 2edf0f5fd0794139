<?php

declare(strict_types=1);

namespace Octavum\Backup;

/** An archive that is not as it was made; nothing is taken from it. */
final class Damaged extends \RuntimeException
{
}
