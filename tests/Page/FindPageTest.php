<?php

declare(strict_types=1);

namespace Octavum\Tests\Page;

use Octavum\Tests\PageTestCase;

final class FindPageTest extends PageTestCase
{
    public function testASlipAndAnotherWordFindWhatIsMeant(): void
    {
        $this->signInToDemo();
        foreach (['trowsers' => 'Lock-keeper trousers', 'Towpth' => 'Towpath coat', 'pants' => 'Lock-keeper trousers', 'rayon crepe' => 'Big peony viscose'] as $query => $name) {
            self::assertStringContainsString($name, self::says($this->get('/find?q='.urlencode($query)), '.found-page'), $query);
        }
        self::assertStringContainsString('Nothing here is called that', self::says($this->get('/find?q=zzzzzz')));
    }
}
