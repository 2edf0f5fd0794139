<?php

declare(strict_types=1);

namespace Octavum\Core\Svg;

use Octavum\Core\Measure\Unreadable;

/** An SVG file that is safe to look at: nothing in it runs or fetches anything. */
final readonly class SvgFile
{
    private const MOST_BYTES = 5_000_000;
    private const MOST_ELEMENTS = 20_000;

    public \DOMElement $root;

    /** @var array<string, \DOMElement> */
    public array $ids;

    /** @throws Unreadable when it is none, is too large, or would run or fetch something */
    public function __construct(string $svg)
    {
        if (\strlen($svg) > self::MOST_BYTES) {
            throw Unreadable::because('This file is larger than 5 MB: save it without pictures, or a piece at a time.');
        }
        if (1 === preg_match('/<!(DOCTYPE|ENTITY)[^>]*(\[|ENTITY)/i', $svg)) {
            throw Unreadable::because(
                'This file defines entities, which can hide anything, so it was not opened: save it again as plain SVG.',
            );
        }
        $document = new \DOMDocument();
        $before = libxml_use_internal_errors(true);
        $read = '' !== trim($svg) && $document->loadXML($svg, \LIBXML_NONET | \LIBXML_COMPACT);
        $error = libxml_get_last_error();
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $root = $document->documentElement;
        if (!$read || null === $root) {
            throw Unreadable::because(
                'This is not a whole SVG file ({error}, line {line}): it may have been cut off on its way. Export it once more.',
                [
                    'error' => false === $error ? 'it is empty' : rtrim($error->message, ".\n "),
                    'line' => false === $error ? 1 : $error->line,
                ],
            );
        }
        if ('svg' !== self::kind($root)) {
            throw Unreadable::because('This is not an SVG file: it begins with “{name}”.', ['name' => mb_substr($root->nodeName, 0, 40)]);
        }
        $this->root = $root;
        $this->ids = $this->harmless($root);
    }

    public static function kind(\DOMElement $element): string
    {
        return strtolower($element->localName ?? $element->nodeName);
    }

    /** @return array<string, \DOMElement> by id, when nothing in it would run or fetch something */
    private function harmless(\DOMElement $root): array
    {
        $count = 0;
        $ids = [];
        foreach ($this->under($root) as $element) {
            if (++$count > self::MOST_ELEMENTS) {
                throw Unreadable::because(
                    'This file has more than {most} elements: save the pieces alone, without the rest of the drawing.',
                    ['most' => self::MOST_ELEMENTS],
                );
            }
            $kind = self::kind($element);
            if (
                \in_array(
                    $kind,
                    ['script', 'foreignobject', 'iframe', 'handler', 'animate', 'set', 'animatetransform', 'animatemotion'],
                    true,
                )
            ) {
                throw Unreadable::because(
                    'This file holds a “{name}” part, which could run something, so it was not opened: save it again as plain SVG.',
                    ['name' => $kind],
                );
            }
            foreach ($element->attributes as $attribute) {
                $name = strtolower($attribute->localName ?? '');
                $value = trim($attribute->nodeValue ?? '');
                if (str_starts_with($name, 'on')) {
                    throw Unreadable::because(
                        'This file holds a script (“{name}”), so it was not opened: save it again as plain SVG.',
                        ['name' => $name],
                    );
                }
                if ((\in_array($name, ['href', 'src'], true) && !str_starts_with($value, '#') && 'a' !== $kind) || $this->fetches($value)) {
                    throw Unreadable::because(
                        'This file refers to something outside itself (“{what}”), so it was not opened: save it again with everything in it.',
                        ['what' => mb_substr($value, 0, 60)],
                    );
                }
                if ('id' === $name) {
                    $ids[$value] = $element;
                }
            }
            if ('style' === $kind && $this->fetches($element->textContent)) {
                throw Unreadable::because(
                    'This file refers to something outside itself in its styles, so it was not opened: save it again with everything in it.',
                );
            }
        }

        return $ids;
    }

    /** @return iterable<\DOMElement> this one and all within it, in the document's order */
    private function under(\DOMElement $root): iterable
    {
        $node = $root;
        while (null !== $node) {
            if ($node instanceof \DOMElement) {
                yield $node;
            }
            if (null !== $node->firstChild) {
                $node = $node->firstChild;
                continue;
            }
            while (null !== $node && $node !== $root && null === $node->nextSibling) {
                $node = $node->parentNode;
            }
            $node = $node === $root ? null : $node?->nextSibling;
        }
    }

    private function fetches(string $value): bool
    {
        return 1 === preg_match('/url\(\s*["\']?\s*(?!["\']?#)|@import/i', $value);
    }
}
