<?php

declare(strict_types=1);

namespace Octavum\Store\Plan;

use Octavum\Account\Account;
use Octavum\Account\Mine;
use Octavum\Core\Project\Project;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Reads the planned project for an argument marked #[Mine]; its record is resolved by the account's own resolver. */
#[AsTaggedItem(priority: 150)]
final readonly class PlannedProjectResolver implements ValueResolverInterface
{
    /** @param \Closure(): PlanLoader $plan made only for a page that asks for a project */
    public function __construct(
        #[AutowireServiceClosure(PlanLoader::class)] private \Closure $plan,
        private Security $security,
    ) {
    }

    /** @return list<Project> */
    public function resolve(Request $request, ArgumentMetadata $argument): array
    {
        $mine = $argument->getAttributesOfType(Mine::class)[0] ?? null;
        $account = $this->security->getUser();
        if (null === $mine || Project::class !== $argument->getType() || !$account instanceof Account) {
            return [];
        }

        return [($this->plan)()->project($account, $request->attributes->getString($mine->parameter)) ?? throw new NotFoundHttpException()];
    }
}
