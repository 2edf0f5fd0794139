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
        self::assertStringContainsString('notion zip', self::says($this->get('/find?q=zipper')), 'by another word for it');
        self::assertStringContainsString('person Odalys', self::says($this->get('/find?q=odalis')), 'with a slip');
    }
}
