<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\JsonType;
use Octavum\Document\Json\Plain;

/** Lists and maps as JSON: there a control character hides behind its escape, so texts are looked at before they are written. */
class PlainJson extends JsonType
{
    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): ?string
    {
        if (\is_array($value)) {
            array_walk_recursive($value, static function (mixed $text, int|string $name): void {
                Plain::guard((string) $name);
                Plain::guard(\is_string($text) ? $text : '');
            });
        }

        return parent::convertToDatabaseValue($value, $platform);
    }
}
