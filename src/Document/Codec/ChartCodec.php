<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Measure\Length;
use Octavum\Core\Pattern\Runs;
use Octavum\Core\Pattern\SizeChart;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** A size chart: body and finished measures. */
final readonly class ChartCodec
{
    public function __construct(private CellsCodec $cells = new CellsCodec())
    {
    }

    public function read(Node $node): SizeChart
    {
        if (!$node->isThere() || !$node->object(['sizes', 'body', 'finished', 'by', 'height', 'runs'])) {
            return new SizeChart();
        }
        $sizes = $node->at('sizes')->texts(20);

        return new SizeChart(
            $sizes,
            $this->rows($node->at('body'), $sizes),
            $this->rows($node->at('finished'), $sizes),
            by: $node->at('by')->choice(BodyPoint::class),
            height: $node->at('height')->length(),
            runs: $node->at('runs')->choice(Runs::class),
        );
    }

    /** @return array<string, mixed> */
    public function write(SizeChart $chart): array
    {
        return Fields::known([
            'sizes' => $chart->sizes,
            'body' => $this->writeRows($chart->body, $chart->sizes),
            'finished' => $this->writeRows($chart->finished, $chart->sizes),
            'by' => $chart->by?->value,
            'height' => $chart->height?->millimetres(),
            'runs' => $chart->runs?->value,
        ]);
    }

    /**
     * @param list<string> $sizes
     *
     * @return array<string, array<string, Length>>
     */
    private function rows(Node $node, array $sizes): array
    {
        $rows = [];
        foreach ($node->isThere() && $node->object(array_column(BodyPoint::cases(), 'value')) ? $node->names() : [] as $point) {
            $rows[$point] = $this->cells->read($node->at($point), $sizes);
        }

        return $rows;
    }

    /**
     * @param array<string, array<string, Length>> $rows
     * @param list<string>                         $sizes
     *
     * @return array<string, list<float|int|null>>
     */
    private function writeRows(array $rows, array $sizes): array
    {
        return array_map(fn (array $row): array => $this->cells->write($row, $sizes), $rows);
    }
}
