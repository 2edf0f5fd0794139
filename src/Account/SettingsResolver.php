<?php

declare(strict_types=1);

namespace Octavum\Account;

use Octavum\Core\Workroom\Settings;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;

/** Gives a controller the settings of whoever is signed in. */
final readonly class SettingsResolver implements ValueResolverInterface
{
    public function __construct(private AccountSettings $settings)
    {
    }

    /** @return list<Settings> */
    public function resolve(Request $request, ArgumentMetadata $argument): array
    {
        return Settings::class === $argument->getType() ? [$this->settings->current()] : [];
    }
}
