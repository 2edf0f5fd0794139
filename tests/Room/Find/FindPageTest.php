<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Find;

use Octavum\Tests\PageTestCase;

final class FindPageTest extends PageTestCase
{
    public function testASlipAndAnotherWordFindWhatIsMeant(): void
    {
        $this->signInToDemo();
        foreach (
            [
                'trowsers' => 'Lock-keeper trousers',
                'Towpth' => 'Towpath coat',
                'pants' => 'Lock-keeper trousers',
                'rayon crepe' => 'Big peony viscose',
            ] as $query => $name
        ) {
            self::assertStringContainsString($name, self::says($this->get('/find?q='.urlencode($query)), '.found-page'), $query);
        }
        self::assertStringContainsString('Nothing here is called that', self::says($this->get('/find?q=zzzzzz')));
    }

    public function testNotionsAndPeopleAreFoundToo(): void
    {
        $this->signInToDemo();
        self::assertStringContainsString('zip invisible, navy', self::says($this->get('/find?q=zip')));
        $found = self::says($this->get('/find?q=zipper'));
        self::assertStringContainsString('zip trouser, black notion, Drawer', $found, 'by another word for it');
        self::assertStringContainsString('Odalys person', self::says($this->get('/find?q=odalis')), 'with a slip');
    }

    public function testTwinsAreToldApart(): void
    {
        $this->signInToDemo();
        $found = $this->get('/find?q=heron')->filter('.found-page a');
        self::assertSame([
            'Heron skirt project, Thaw, for Ottoline, size 14, Heron lawn',
            'Allotment shorts project, Thaw, for Ottoline, size 14, Heron lawn',
            'Heron lawn cloth, 2.50 m, 137 cm wide, Locker 1',
        ], $found->each(static fn ($row): string => trim($row->text())));
        self::assertCount(1, $found->filter('.choice-swatch'), 'a cloth is shown');
    }
}
