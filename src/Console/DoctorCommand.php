<?php

declare(strict_types=1);

namespace Octavum\Console;

use Doctrine\DBAL\Types\ConversionException;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\AccountRepository;
use Octavum\Account\AccountSettings;
use Octavum\Database\Checkup;
use Octavum\Document\Json\BrokenRow;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Store\Workroom\RowCheck;
use Octavum\Store\Workroom\RowMend;
use Octavum\Store\Workroom\Workrooms;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Finder\Finder;

/** Exit 0 when all is well, 1 when something is not, or was not. */
#[AsCommand('octavum:doctor', 'Looks whether the data is whole, can be read and is its owner’s alone; --mend puts right what can be')]
final readonly class DoctorCommand
{
    private const ROOM = 100_000_000;

    public function __construct(
        private Checkup $checkup,
        private AccountRepository $accounts,
        private Workrooms $workrooms,
        private WorkroomWriter $writer,
        private WorkroomReader $reader,
        private RowCheck $check,
        private RowMend $mend,
        private AccountSettings $settings,
        private EntityManagerInterface $entities,
        #[Autowire('%env(resolve:OCTAVUM_DATA)%')] private string $data,
    ) {
    }

    public function __invoke(SymfonyStyle $io, #[Option('Put right what can be')] bool $mend = false): int
    {
        $faults = [
            ...$this->folder($mend),
            ...$this->checkup->file(),
            ...$this->checkup->texts($mend),
            ...$this->rows($mend),
            ...$this->workrooms(),
        ];
        foreach ($faults as $fault) {
            $io->writeln($fault, SymfonyStyle::OUTPUT_RAW);
        }
        $io->writeln(
            [] === $faults
                ? 'All is well.'
                : \sprintf('%d found%s.', \count($faults), $mend ? '; look again to see what is left' : '; --mend puts right what can be'),
        );

        return [] === $faults ? Command::SUCCESS : Command::FAILURE;
    }

    /** @return list<string> */
    private function folder(bool $mend): array
    {
        $faults = [];
        foreach (
            [
                $this->data,
                ...array_map(
                    static fn (\SplFileInfo $file): string => $file->getPathname(),
                    array_values(iterator_to_array((new Finder())->in($this->data)->ignoreDotFiles(false))),
                ),
            ] as $path
        ) {
            $rights = (int) @fileperms($path) & 0o777;
            if (0 !== ($rights & 0o077)) {
                $faults[] = \sprintf(
                    '%s can be read or changed by others of this machine (%o)%s.',
                    $path,
                    $rights,
                    $mend ? ': mended' : '',
                );
                if ($mend) {
                    chmod($path, is_dir($path) ? 0o700 : 0o600);
                }
            }
            if (!is_writable($path)) {
                $faults[] = \sprintf('%s cannot be written to: nothing can be saved. Give it to the user that Octavum runs as.', $path);
            }
        }
        if (@disk_free_space($this->data) < self::ROOM) {
            $faults[] = 'Less than 100 MB are free on the disk.';
        }

        return $faults;
    }

    /**
     * @param bool $mend make readable again what cannot be read
     *
     * @return list<string>
     */
    private function rows(bool $mend): array
    {
        $faults = [];
        foreach ($this->accounts->findAll() as $account) {
            if (!$this->settings->areReadable($account)) {
                $faults[] = \sprintf('The settings of %s cannot be read%s.', $account->email, $mend ? ': the usual ones are set' : '');
                $account->settings = $mend ? [] : $account->settings;
            }
            foreach ($this->check->find($account) as $id => [$table, $why]) {
                $mended = $mend ? $this->mend->mend($account, $table, $id) : [];
                $faults[] = \sprintf('%s %s: %s%s', $table, $id, $why, match (true) {
                    !$mend => '',
                    [] === $mended => ' It cannot be mended here.',
                    default => ' Mended: '.implode(', ', $mended).'. What was there is kept in the table mended and in its notes.',
                });
            }
            $this->check->leaveOut($account);
        }
        $this->entities->flush();
        $this->entities->clear();

        return $faults;
    }

    /** @return list<string> */
    private function workrooms(): array
    {
        $faults = [];
        foreach ($this->accounts->findAll() as $account) {
            try {
                $this->reader->read($this->writer->write($this->workrooms->load($account)), own: true);
            } catch (BrokenRow|ConversionException|\JsonException $broken) {
                $faults[] = \sprintf('The workroom of %s: %s', $account->email, $broken->getMessage());
            } catch (Refused $refused) {
                $faults[] = \sprintf('The workroom of %s could not be imported again: %s', $account->email, $refused->getMessage());
            }
        }

        return $faults;
    }
}
