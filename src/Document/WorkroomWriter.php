<?php

declare(strict_types=1);

namespace Octavum\Document;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\Codec\ClothCodec;
use Octavum\Document\Codec\LayCodec;
use Octavum\Document\Codec\ListCodec;
use Octavum\Document\Codec\NotionCodec;
use Octavum\Document\Codec\OverruleCodec;
use Octavum\Document\Codec\PatternCodec;
use Octavum\Document\Codec\PersonCodec;
use Octavum\Document\Codec\ProjectCodec;
use Octavum\Document\Codec\SeasonCodec;
use Octavum\Document\Codec\SettingsCodec;

/** Writes a workroom as an octavum-workroom document, version 3. What is not known is left out. */
final readonly class WorkroomWriter
{
    public function __construct(
        private SettingsCodec $settings = new SettingsCodec(),
        private PersonCodec $people = new PersonCodec(),
        private ClothCodec $cloths = new ClothCodec(),
        private PatternCodec $patterns = new PatternCodec(),
        private SeasonCodec $seasons = new SeasonCodec(),
        private LayCodec $lays = new LayCodec(),
        private ProjectCodec $projects = new ProjectCodec(),
        private NotionCodec $notions = new NotionCodec(),
        private ListCodec $lists = new ListCodec(),
        private OverruleCodec $overrules = new OverruleCodec(),
    ) {
    }

    public function write(Workroom $workroom): string
    {
        $flags = \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE;

        return json_encode($this->document($workroom), $flags)."\n";
    }

    /** @return array<string, mixed> */
    private function document(Workroom $workroom): array
    {
        $workroom = $workroom->withKnownReferences();
        $selvage = $workroom->settings->assumptions->selvage;
        $people = array_column($workroom->people, 'id');

        return [
            'format' => WorkroomReader::FORMAT,
            'version' => WorkroomReader::VERSION,
            'name' => $workroom->name,
            'settings' => $this->settings->write($workroom->settings),
            'people' => array_map($this->people->write(...), $workroom->people),
            'cloths' => array_map(fn (Cloth $cloth): array => $this->cloths->write($cloth, $selvage), $workroom->cloths),
            'patterns' => array_map(fn (Pattern $pattern): array => $this->patterns->write($pattern, $people), $workroom->patterns),
            'seasons' => array_map($this->seasons->write(...), $workroom->seasons),
            'projects' => array_map($this->projects->write(...), $workroom->projects),
            'lays' => array_map($this->lays->write(...), $workroom->lays),
            'notions' => array_map($this->notions->write(...), $workroom->notions),
            ...[] === $workroom->lists ? [] : ['lists' => array_map($this->lists->write(...), $workroom->lists)],
            ...[] === $workroom->overrules ? [] : ['overrules' => array_map($this->overrules->write(...), $workroom->overrules)],
        ];
    }
}
