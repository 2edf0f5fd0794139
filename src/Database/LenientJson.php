<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\ConversionException;

/** Of an account, which must be read whatever else is broken: text that is no JSON is read as something that no codec takes. */
final class LenientJson extends PlainJson
{
    public const NAME = 'lenient_json';

    public function convertToPHPValue(mixed $value, AbstractPlatform $platform): mixed
    {
        try {
            $read = parent::convertToPHPValue($value, $platform);
        } catch (ConversionException) {
            $read = null;
        }

        return \is_array($read) ? $read : ['unreadable' => ''];
    }
}
