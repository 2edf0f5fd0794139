<?php

declare(strict_types=1);

namespace Octavum\Document\Json;

use Octavum\Core\Measure\Sentence;

/** A document with faults; nothing has been changed. */
final class Refused extends \RuntimeException
{
    /** @param non-empty-list<DocumentFault> $faults in the order found */
    public function __construct(public readonly array $faults)
    {
        parent::__construct(\sprintf('%s: %s', $faults[0]->pointer, $faults[0]->sentence));
    }

    /** For what names something: the text is not a message of the translator's. */
    public static function saying(string $text): self
    {
        return new self([new DocumentFault('', new Sentence('{text}', ['text' => $text]))]);
    }

    public static function because(string $message): self
    {
        return new self([new DocumentFault('', new Sentence($message))]);
    }
}
