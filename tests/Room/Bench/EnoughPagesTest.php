<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Bench;

use Octavum\Core\Need\Block\Block;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\RoleAnswer;
use Octavum\Room\Bench\EnoughCases;
use Octavum\Tests\PageTestCase;
use Symfony\Component\DomCrawler\Crawler;

final class EnoughPagesTest extends PageTestCase
{
    public function testADressShortBySixtyIsMadeEnoughByTwoThingsAndTheLayProvesIt(): void
    {
        $panel = $this->panel('Regatta dress');
        self::assertStringContainsString('61 cm missing', self::says($panel));
        self::assertGreaterThanOrEqual(8, $panel->filter('.remedies tr')->count());
        $panel = $this->get($this->url.'?least=1');
        $ticked = $panel->filter('.remedies input:checked')->each(static fn (Crawler $box): string => (string) $box->attr('value'));
        self::assertCount(2, $ticked);
        self::assertMatchesRegularExpression('/gap-over.*cm over/s', $panel->html());
        $this->get('/project/'.$this->project('Regatta dress')->id);
        $this->post($this->url.'/keep', ['with' => $ticked]);
        $role = $this->role('Regatta dress');
        self::assertSame(Verdict::Fits, $role->verdict);
        self::assertNotNull($role->claim->lay);
        self::assertTrue($role->claim->lay->sound);
        $page = $this->get('/project/'.$this->project('Regatta dress')->id);
        self::assertStringContainsString('fits', self::says($page, '.project-part .enough'));
        self::assertStringContainsString('Front facing, Back facing are not in its lay. Bind those edges', self::says($page));
        self::assertStringContainsString('Without Front facing, Back facing', self::says($page));
        $this->send('undo', []);
        self::assertSame(Verdict::Short, $this->role('Regatta dress')->verdict);
        self::assertSame([], $this->project('Regatta dress')->alterations);
    }

    /** Whatever is offered for a shortfall of the demo whose pieces are known, a fresh lay with it takes as much as is said. */
    public function testEveryFigureIsThatOfAFreshLay(): void
    {
        $account = $this->demo();
        $cases = $this->service(EnoughCases::class);
        $looked = 0;
        foreach ($this->workroom($account)->projects as $project) {
            $case = $cases->of($account, $project->id, $project->claims[0]->id ?? '');
            if (null === $case || !$case->make->real || Verdict::Short !== $case->role->verdict) {
                continue;
            }
            foreach ($case->make->tried() as $one) {
                $laying = Laying::of($case->pieces, $project->largestSize(), $case->laying->usable, $case->cloth->isOneWay());
                $fresh = $one->change->apply($laying)->length(new Block());
                self::assertSame($fresh?->smaller($case->make->plain())->micrometres, $one->need->micrometres, $one->change->key);
                ++$looked;
            }
        }
        self::assertGreaterThan(20, $looked);
    }

    public function testWhatIsEnoughOnceItIsLaidSaysSoAndTheLayIsKept(): void
    {
        $panel = $this->panel('Quarry pinafore');
        self::assertStringContainsString('Laid out, it is enough', self::says($panel));
        $this->get('/project/'.$this->project('Quarry pinafore')->id);
        $this->post($this->url.'/keep');
        self::assertSame(Verdict::Fits, $this->role('Quarry pinafore')->verdict);
    }

    public function testWithoutPiecesItIsReckonedByAreaAndKeptAsAnAlteration(): void
    {
        $panel = $this->panel('Lantern dress');
        self::assertStringContainsString('by area, give or take 15 %', self::says($panel));
        $shorter = $panel->filter('.remedies input[value^="shorter:"]')->attr('value');
        $this->get('/project/'.$this->project('Lantern dress')->id);
        $this->post($this->url.'/keep', ['with' => [(string) $shorter]]);
        self::assertContains($this->role('Lantern dress')->verdict, [Verdict::Fits, Verdict::Tight]);
        self::assertStringStartsWith('Shorter by', $this->project('Lantern dress')->alterations[0]->name);
        self::assertNull($this->role('Lantern dress')->claim->lay);
    }

    public function testNothingTickedAndNonsenseChangeNothing(): void
    {
        $this->panel('Regatta dress');
        $this->get('/project/'.$this->project('Regatta dress')->id);
        $this->post($this->url.'/keep', ['with' => ['no such', '<script>']]);
        self::assertStringContainsString('Nothing is ticked', self::says($this->browser->followRedirect()));
        self::assertSame('', $this->get('/project/'.$this->project('Regatta dress')->id.'/enough/01ARZ3NDEKTSV4RRFFQ69G5FAV')->text(''));
        $this->browser->loginUser($this->account('else@example.org'));
        $this->browser->request('GET', $this->url);
        self::assertSame('', (string) $this->browser->getResponse()->getContent(), 'another account’s');
    }

    private string $url = '';

    private function panel(string $name): Crawler
    {
        $this->signInToDemo();
        $project = $this->project($name);
        $this->url = '/project/'.$project->id.'/enough/'.$project->claims[0]->id;

        return $this->get($this->url);
    }

    private function role(string $name): RoleAnswer
    {
        $workroom = $this->workroom($this->demo());
        $project = $this->project($name);
        foreach ((new SeasonCheck($workroom->settings->assumptions))->check($project->season, $workroom->projects)->projects as $answer) {
            if ($answer->project->id === $project->id) {
                return $answer->roles[0];
            }
        }

        self::fail($name.' is not checked');
    }
}
