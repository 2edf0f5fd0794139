<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Octavum\Account\Account;
use Octavum\Core\Measure\Length;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Store\Workroom\Workrooms;
use Octavum\Tests\PageTestCase;

/** What is planned for no season, the ease that is wanted, and what always has to be altered for somebody. */
final class NoSeasonPagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->signInToDemo();
    }

    public function testAProjectGoesToNoSeasonAndBack(): void
    {
        $coat = $this->project('Towpath coat');
        $this->get('/project/'.$coat->id.'/change');
        $this->send('Save the project', ['season' => 'none', 'deadline' => '2027-03-02']);
        $moved = $this->project('Towpath coat');
        self::assertTrue($moved->season->undated);
        $page = self::says($this->get('/project/'.$coat->id));
        self::assertStringNotContainsString(', about', $page);
        self::assertStringNotContainsString('after its deadline', $page);
        self::assertStringNotContainsString('Towpath coat', self::says($this->get('/season'), '#main .ranked'));
        $page = self::says($this->get('/season/'.$moved->season->id), '#main');
        self::assertStringContainsString('cloth goes to the seasons first', $page);
        self::assertStringContainsString('Towpath coat', $page);
        self::assertStringNotContainsString('The hours run out here', $page);
        self::assertStringNotContainsString('All of it fits', $page);
        self::assertNotSame($moved->season->id, $this->service(Workrooms::class)->load($this->fresh($this->account))->seasons[1]->id);
        self::assertStringContainsString('Thaw', $this->get('/season')->filter('h1')->text(), 'where one was before');
        $this->get('/project/'.$coat->id.'/change');
        self::assertSame('none', $this->browser->getCrawler()->filter('[name=season] [selected]')->attr('value'));
        $this->send('Save the project', ['season' => $coat->season->id]);
        self::assertSame($coat->season->id, $this->project('Towpath coat')->season->id);
    }

    public function testWhatIsInNoSeasonGetsClothLast(): void
    {
        $this->get('/project/'.$this->project('Quarry pinafore')->id.'/change');
        $this->send('Save the project', ['season' => 'none', 'rank' => '1']);
        $this->get('/project/'.$this->project('Tweed waistcoat')->id.'/change');
        $this->send('Save the project', ['claims' => [['cut' => 'Moorland tweed, 1.80 m']]]);
        $snags = self::says($this->get('/project/'.$this->project('Quarry pinafore')->id), '.margin');
        self::assertMatchesRegularExpression('/Tweed waistcoat.* has? Moorland tweed first|is .* short/', $snags);
    }

    public function testItGoesOutWithoutASeasonAndComesBackSo(): void
    {
        $this->get('/project/'.$this->project('Towpath coat')->id.'/change');
        $this->send('Save the project', ['season' => 'none', 'ease' => '12 cm']);
        $written = (new WorkroomWriter())->write($this->workroom($this->account));
        self::assertStringNotContainsString('9999', $written);
        $this->service(Workrooms::class)->replace($this->fresh($this->account), (new WorkroomReader())->read($written));
        $coat = $this->project('Towpath coat');
        self::assertTrue($coat->season->undated);
        self::assertEquals(Length::ofMillimetres(120), $coat->brief->ease);
        self::assertCount(3, $this->workroom($this->account)->seasons);
    }

    public function testWithTheEaseWantedTheSizeGoesByTheFinishedGarment(): void
    {
        $coat = $this->project('Towpath coat');
        $this->get('/project/'.$coat->id.'/change');
        /** @var array<string, mixed> $typed */
        $typed = $this->browser->getCrawler()->selectButton('Save the project')->form()->getPhpValues();
        $page = self::says($this->post('/project/preview', ['ease' => '20 cm'] + $typed));
        $says = 'Size 16 comes nearest: the finished bust is 113 cm, 20.5 cm of ease where 20 cm is wanted.';
        self::assertStringContainsString($says, $page);
        $this->get('/project/'.$coat->id.'/change');
        $this->send('Save the project', ['ease' => 'a lot']);
        self::assertStringContainsString('a lot', self::says($this->browser->getCrawler(), '.faults, .fault'));
        self::assertNull($this->project('Towpath coat')->brief->ease);
    }

    public function testWhatAlwaysHasToBeAlteredIsOfferedCountedOrLeftOut(): void
    {
        $coat = $this->project('Towpath coat');
        $person = $coat->brief->person->id ?? '';
        $this->get('/people/'.$person);
        $this->send('Save the person', ['facts' => [
            ['garment' => 'coat', 'name' => 'Body 4 cm longer', 'length' => '4 cm'],
            ['garment' => '', 'name' => 'Full upper arm', 'length' => ''],
        ]]);
        $this->get('/people/'.$person);
        $this->send('Save the person', ['facts' => [2 => ['garment' => 'trousers', 'name' => 'Shorter', 'length' => '-3 cm']]]);
        self::assertSame(
            ['Body 4 cm longer', 'Full upper arm'],
            array_column($this->project('Towpath coat')->factsOffered(), 'name'),
            'those of coats and of every garment',
        );
        $page = self::says($this->get('/project/'.$coat->id.'/pattern'), '#facts');
        self::assertStringContainsString('Body 4 cm longer , the lay 4 cm longer', $page);
        $need = $this->need();
        $this->post('/project/'.$coat->id.'/fact/take', ['name' => 'Body 4 cm longer']);
        self::assertSame($need + 40, $this->need());
        $this->send('undo', []);
        self::assertSame($need, $this->need());
        $this->get('/project/'.$coat->id);
        $this->post('/project/'.$coat->id.'/fact/leave', ['name' => 'Full upper arm']);
        self::assertSame(['Body 4 cm longer'], array_column($this->project('Towpath coat')->factsOffered(), 'name'));
        $this->get('/project/'.$coat->id);
        $this->post('/project/'.$coat->id.'/fact/take', ['name' => 'Full upper arm']);
        self::assertResponseStatusCodeSame(404, 'it is not offered any more');
        $written = (new WorkroomWriter())->write($this->workroom($this->account));
        self::assertEquals($this->workroom($this->account)->people, (new WorkroomReader())->read($written)->people);
    }

    public function testAFactWithoutANameIsAskedForOne(): void
    {
        $person = $this->project('Towpath coat')->brief->person->id ?? '';
        $this->get('/people/'.$person);
        $this->send('Save the person', ['facts' => [['garment' => 'coat', 'name' => '', 'length' => '4 cm']]]);
        self::assertStringContainsString('A name is missing', self::says($this->browser->getCrawler()));
        self::assertSame('4 cm', $this->browser->getCrawler()->filter('[name="facts[0][length]"]')->attr('value'), 'kept as typed');
    }

    /** Millimetres of the coat's main cloth. */
    private function need(): int
    {
        $page = self::says($this->get('/project/'.$this->project('Towpath coat')->id), '.margin');

        return 1 === preg_match('/Needed ([\d.]+) m/', $page, $found) ? (int) round(1000 * (float) $found[1]) : self::fail($page);
    }
}
