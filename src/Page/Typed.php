<?php

declare(strict_types=1);

namespace Octavum\Page;

use Symfony\Component\HttpFoundation\RequestStack;

/** What someone typed into a form that could not be taken, to be handed back: no passwords. */
final readonly class Typed
{
    private const MOST = 200;

    public function __construct(private RequestStack $requests)
    {
    }

    /** @return array<string, string> by field, none when nothing was sent */
    public function entries(): array
    {
        $request = $this->requests->getMainRequest();

        return null === $request || $request->isMethodSafe() ? [] : $this->among($request->request->all());
    }

    /**
     * @param array<mixed> $fields
     *
     * @return array<string, string>
     */
    private function among(array $fields, string $prefix = ''): array
    {
        $entries = [];
        foreach ($fields as $name => $value) {
            $name = '' === $prefix ? (string) $name : $prefix.' '.$name;
            if (\is_array($value)) {
                $entries += $this->among($value, $name);
            } elseif (
                \is_string($value)
                && '' !== $value
                && !\in_array($name, ['_token', PressedOnce::FIELD, 'revision'], true)
                && !str_contains(mb_strtolower($name), 'password')
                && \count($entries) < self::MOST
            ) {
                $entries[$name] = $value;
            }
        }

        return $entries;
    }
}
