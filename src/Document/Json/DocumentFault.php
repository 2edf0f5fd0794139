<?php

declare(strict_types=1);

namespace Octavum\Document\Json;

use Octavum\Core\Measure\Sentence;

/** What is wrong in a document, and where. */
final readonly class DocumentFault
{
    /** @param string $pointer JSON pointer (RFC 6901); empty for the document as a whole */
    public function __construct(public string $pointer, public Sentence $sentence)
    {
    }
}
