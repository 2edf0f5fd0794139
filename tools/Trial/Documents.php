<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Svg\SvgReader;
use Octavum\Document\Json\Refused;
use Octavum\Document\LayoutReader;

/** Mutated documents of every format: refused or taken, and nothing changed after a refusal. */
final readonly class Documents implements Trial
{
    public function name(): string
    {
        return 'import';
    }

    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void
    {
        $visitor = Visitor::newcomer($server);
        /** @var array<mixed> $document */
        $document = json_decode($server->demo(), true);
        $visitor->upload('/settings/import', 'document', 'w.json', (string) json_encode($document), ['replace' => '1']);
        $before = $visitor->page('/settings/export')->content;
        $tables = array_map(static fn (string $room): string => $visitor->page($room.'/csv/out')->content, [
            '/cloth',
            '/notions',
            '/patterns',
        ]);
        $svg =
            '<svg xmlns="http://www.w3.org/2000/svg" width="1m" viewBox="0 0 1000 1000"><g transform="translate(5,5) rotate(3)"><title>Back</title><path d="M0 0L300 0C300 200 200 300 100 400Z"/></g><use href="#p"/><circle id="p" r="50"/></svg>';
        $layout = (string) json_encode([
            'format' => 'octavum-layout',
            'version' => 1,
            'cuts' => [['id' => 'a', 'width' => 1400, 'length' => 3000]],
            'pieces' => [['id' => 'p', 'outline' => [[0, 0], [300, 0], [250, 400]], 'quantity' => 4]],
            'seconds' => 0.05,
        ]);
        for ($i = $seed; $span->more(); ++$i) {
            $odd = new Odd($i);
            $what = 'import, seed '.$i;
            switch ($i % 5) {
                case 0:
                case 1:
                    $sent = 0 === $i % 2 ? $odd->document($document) : $odd->bytes((string) json_encode($document));
                    $answer = $visitor->upload('/settings/import', 'document', 'w.json', $sent, 0 === $i % 3 ? ['replace' => '1'] : []);
                    $tally->answer($answer, $what);
                    if (302 === $answer->status) {
                        $before = $visitor->page('/settings/export')->content;
                        $tally->expect(null !== json_decode($before), $what.': what was taken cannot be exported');
                    } elseif (0 === $i % 4) {
                        $tally->expect(
                            $before === $visitor->page('/settings/export')->content,
                            $what.': something changed after a refusal',
                        );
                    }
                    break;
                case 2:
                    $room = $odd->number(0, 2);
                    $tally->answer(
                        $visitor->upload(
                            ['/cloth/csv', '/notions/csv', '/patterns/csv'][$room],
                            'file',
                            't.csv',
                            $odd->bytes($tables[$room]),
                        ),
                        $what,
                    );
                    break;
                case 3:
                    $tally->answer(
                        $visitor->send('/cloth/haul/read', [
                            'lines' => $odd->bytes("1.8 m moss linen 140 cm washed, locker 2\n2 x 1.6m lawn"),
                        ]),
                        $what,
                    );
                    break;
                default:
                    $this->read(static fn () => (new SvgReader())->read($odd->bytes($svg)), $tally, $what);
                    $this->read(static fn () => (new LayoutReader())->read($odd->bytes($layout)), $tally, $what);
            }
        }
    }

    /** @param \Closure(): mixed $read */
    private function read(\Closure $read, Tally $tally, string $what): void
    {
        $began = microtime(true);
        try {
            $read();
            $status = 200;
        } catch (Refused|Unreadable) {
            $status = 422;
        } catch (\Throwable $fault) {
            $status = 500;
            $what .= ': '.$fault->getMessage();
        }
        $tally->answer(new Answer($status, microtime(true) - $began, '', ''), $what);
    }
}
