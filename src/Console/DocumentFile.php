<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Account\AccountRepository;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\System;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomReader;
use Octavum\Store\Workroom\Workrooms;
use Symfony\Component\Console\Style\SymfonyStyle;

/** Documents named on the command line, and what is said of those that are refused. */
final readonly class DocumentFile
{
    public function __construct(
        private SentenceWriter $sentences,
        private WorkroomReader $reader,
        private Workrooms $workrooms,
        private AccountRepository $accounts,
    ) {
    }

    /**
     * The workroom of a document, or without one that of an account.
     *
     * @param ?string $account its e-mail address; null for the demo workroom
     *
     * @throws Refused when there is no such document or account, or the document is not sound
     */
    public function workroom(?string $path, ?string $account): Workroom
    {
        return null !== $path
            ? $this->reader->read($this->contents($path))
            : $this->workrooms->load($this->accounts->named($account));
    }

    /** @throws Refused when there is no such file, or it is too large to be read */
    public function contents(string $path): string
    {
        if (!is_file($path) || !is_readable($path)) {
            throw Refused::because('There is no readable file at this path.');
        }
        if (filesize($path) > WorkroomReader::MOST_BYTES) {
            throw Refused::because('This document is larger than 20 MB; nothing has been read or changed.');
        }

        return (string) file_get_contents($path);
    }

    /** @param int $most faults to print */
    public function explain(Refused $refused, SymfonyStyle $io, int $most = \PHP_INT_MAX): void
    {
        $error = $io->getErrorStyle();
        foreach (\array_slice($refused->faults, 0, $most) as $fault) {
            $error->writeln(
                \sprintf(
                    '%s  %s',
                    '' === $fault->pointer ? '(document)' : $fault->pointer,
                    $this->sentences->write($fault->sentence, new LengthFormatter(System::Metric)),
                ),
                SymfonyStyle::OUTPUT_RAW,
            );
        }
    }
}
