<?php

declare(strict_types=1);

namespace Octavum\Files;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;

/** Where the bytes of files lie: a folder for each account, outside the web root, named by nothing that was typed. */
final readonly class FileShelf
{
    /** So long what was taken out can be put back. */
    private const KEPT = '-7 days';

    public function __construct(
        #[Autowire('%env(resolve:OCTAVUM_DATA)%/files')] private string $folder,
        private Filesystem $disk,
        private EntityManagerInterface $entities,
        private ClockInterface $clock,
    ) {
    }

    /** @param ?string $small a picture's small form */
    public function put(FileRecord $file, string $content, ?string $small = null): void
    {
        $this->sweep($file->account);
        $this->disk->dumpFile($this->path($file), $content);
        if (null !== $small) {
            $this->disk->dumpFile($this->path($file, true), $small);
        }
        $this->entities->persist($file);
    }

    public function path(FileRecord $file, bool $small = false): string
    {
        return $this->of($file->account).'/'.$file->id.($small ? '-small' : '').'.'.$file->kind->value;
    }

    /** One of the account's own whose bytes are there; removed ones too, so that a removal can be undone. */
    public function oneOf(Account $account, string $id): ?FileRecord
    {
        $file = $this->entities->getRepository(FileRecord::class)->findOneBy(['id' => $id, 'account' => $account]);

        return null !== $file && is_file($this->path($file)) ? $file : null;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<FileRecord> of the account's own, in the order asked for
     */
    public function these(Account $account, array $ids): array
    {
        $files = [];
        foreach (
            [] === $ids ? [] : $this->entities->getRepository(FileRecord::class)->findBy(['id' => $ids, 'account' => $account]) as $file
        ) {
            $files[array_search($file->id, $ids, true)] = $file;
        }
        ksort($files);

        return array_values($files);
    }

    /** How many an account has, without those taken out. */
    public function count(Account $account): int
    {
        return $this->entities->getRepository(FileRecord::class)->count(['account' => $account, 'removedAt' => null]);
    }

    /** One that was put here a moment ago and is not wanted after all. */
    public function discard(FileRecord $file): void
    {
        $this->disk->remove([$this->path($file), $this->path($file, true)]);
        $this->entities->detach($file);
    }

    /** With an account go all its files. */
    public function clear(Account $account): void
    {
        $this->disk->remove($this->of($account));
    }

    private function sweep(Account $account): void
    {
        /** @var list<FileRecord> $old */
        $old = $this->entities
            ->createQuery('SELECT f FROM '.FileRecord::class.' f WHERE f.account = :account AND f.removedAt < :day')
            ->execute(['account' => $account, 'day' => $this->clock->now()->modify(self::KEPT)]);
        foreach ($old as $file) {
            $this->disk->remove([$this->path($file), $this->path($file, true)]);
            $this->entities->remove($file);
        }
    }

    private function of(Account $account): string
    {
        return $this->folder.'/'.$account->id;
    }
}
