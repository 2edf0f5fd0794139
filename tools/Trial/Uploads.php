<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** Files that would take minutes or gigabytes; the server answers others meanwhile and after. */
final readonly class Uploads implements Trial
{
    public function name(): string
    {
        return 'uploads';
    }

    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void
    {
        $visitor = Visitor::newcomer($server);
        $cloth = $visitor->send('/cloth/new', ['name' => 'Lawn'])->location;
        $pattern = $visitor->send('/patterns/new', ['title' => 'Coat', 'versionName' => 'A'])->location;
        preg_match('~/versions/[0-9A-Z]{26}~', $visitor->page($pattern)->content, $version);
        foreach ((new Hostile())->pictures() as $name => $content) {
            $tally->answer($visitor->upload($cloth.'/photo', 'photo', $name.'.png', $content), 'a picture: '.$name, 6);
        }
        foreach ((new Hostile())->drawings() as $name => $content) {
            $answer = $visitor->upload(($version[0] ?? '').'/pieces/import', 'file', $name.'.svg', $content);
            $tally->answer($answer, 'a drawing: '.$name, 2);
        }
        $tally->answer($visitor->page('/season'), 'a page afterwards');
    }
}
