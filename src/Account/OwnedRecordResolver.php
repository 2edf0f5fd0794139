<?php

declare(strict_types=1);

namespace Octavum\Account;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Finds the record for an argument marked #[Mine], before the id of the route would be taken for it. */
#[AsTaggedItem(priority: 150)]
final readonly class OwnedRecordResolver implements ValueResolverInterface
{
    public function __construct(private EntityManagerInterface $entities, private Security $security)
    {
    }

    /** @return list<Owned> */
    public function resolve(Request $request, ArgumentMetadata $argument): array
    {
        $mine = $argument->getAttributesOfType(Mine::class)[0] ?? null;
        $class = $argument->getType();
        if (null === $mine || null === $class || !is_a($class, Owned::class, true)) {
            return [];
        }
        $account = $this->security->getUser();
        $record = $this->find($class, $request->attributes->getString($mine->parameter));

        return $account instanceof Account && true === $record?->isOpenTo($account) ? [$record] : throw new NotFoundHttpException();
    }

    /** @param class-string<Owned> $class */
    private function find(string $class, string $id): ?Owned
    {
        $query = $this->entities->createQueryBuilder()->select('record')->from($class, 'record')->where('record.id = :id');
        if (null !== $class::PART_OF) {
            $query->addSelect('whole')->join('record.'.$class::PART_OF, 'whole');
        }
        $record = $query->setParameter('id', $id)->getQuery()->getOneOrNullResult();

        return $record instanceof Owned ? $record : null;
    }
}
