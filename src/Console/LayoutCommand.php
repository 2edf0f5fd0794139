<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Status;
use Octavum\Document\Json\Refused;
use Octavum\Document\LayoutReader;
use Octavum\Document\LayoutWriter;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Style\SymfonyStyle;

/** Exit 0 when all pieces are placed, 1 when they do not fit, 2 for a request that cannot be read. */
#[AsCommand('octavum:layout', 'Lays the pieces of an octavum-layout request and prints the result')]
final readonly class LayoutCommand
{
    public function __construct(private LayoutReader $reader, private LayoutWriter $writer, private DocumentFile $documents)
    {
    }

    public function __invoke(SymfonyStyle $io, #[Argument('A request; standard input when left out')] ?string $file = null): int
    {
        $start = hrtime(true);
        $elapsed = static fn (): float => (hrtime(true) - $start) / 1e9;
        try {
            $request = $this->reader->read(null === $file ? (string) stream_get_contents(\STDIN) : $this->documents->contents($file));
        } catch (Refused $refused) {
            $this->documents->explain($refused, $io, 1);

            return 2;
        }
        $lay = (new LayMaker())->make($request, $elapsed);
        $io->write($this->writer->write($request, $lay, $elapsed()), false, SymfonyStyle::OUTPUT_RAW);

        return Status::Placed === $lay->status ? 0 : 1;
    }
}
