<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Match;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Document\Codec\AlterationCodec;
use Octavum\Room\Match\EnoughCases;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\CutRecord;
use Octavum\Store\Lay\LayRepository;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\CopyRecord;
use Octavum\Store\Project\ProjectRepository;
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
        self::assertSame([], $this->project('Regatta dress')->current->alterations);
    }

    /** Whatever is offered for a shortfall of the demo whose pieces are known, a fresh lay with it takes as much as is said. */
    public function testEveryFigureIsThatOfAFreshLay(): void
    {
        $account = $this->demo();
        $cases = $this->service(EnoughCases::class);
        $looked = 0;
        foreach ($this->workroom($account)->projects as $project) {
            $case = $cases->find($account, $project->id, $project->current->claims[0]->id ?? '');
            if (null === $case || !$case->make->real || Verdict::Short !== $case->role->verdict) {
                continue;
            }
            foreach ($case->make->tried()->tried as $one) {
                $fresh = $one->change->apply($case->make->lays->laying)->length(new Block());
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
        self::assertStringStartsWith('Shorter by', $this->project('Lantern dress')->current->alterations[0]->name);
        self::assertNull($this->role('Lantern dress')->claim->lay);
    }

    public function testPiecesComeFromAnotherCutOfTheClothWhichIsClaimedForThem(): void
    {
        $account = $this->demo();
        $cloth = $this->service(EntityManagerInterface::class)->getRepository(ClothRecord::class)->findOneBy(['name' => 'Kite panel']);
        self::assertNotNull($cloth);
        $entry = new LedgerEntry(new \DateTimeImmutable('2026-11-01'), LedgerKind::Bought, Length::ofMetres('1.30'));
        $this->service(ClothMapper::class)->storeCut(new Cut('', [$entry]), $cut = new CutRecord($cloth));
        $this->service(EntityManagerInterface::class)->persist($cut);
        $this->service(EntityManagerInterface::class)->flush();
        $key = (string) $this->panel('Regatta dress')->filter('.remedies input[value^="elsewhere:'.$cut->id.'"]')->attr('value');
        $pieces = explode('/', explode(':', $key, 3)[2]);
        $lays = fn (): int => $this->service(LayRepository::class)->count(['account' => $account, 'removedAt' => null]);
        $before = $lays();
        $this->get('/project/'.$this->project('Regatta dress')->id);
        $this->post($this->url.'/keep', ['with' => [$key]]);
        self::assertSame($before + 1, $lays());
        $answers = $this->answers('Regatta dress', $account);
        self::assertSame([Verdict::Fits, Verdict::Fits], array_column($answers, 'verdict'), 'the lay holds though pieces have gone');
        self::assertSame([$cut->id, $pieces], [$answers[1]->claim->cut?->id, $answers[1]->claim->pieces]);
        $page = $this->get('/project/'.$this->project('Regatta dress')->id);
        self::assertStringNotContainsString('are not in its lay', self::says($page));
        $this->send('undo', []);
        self::assertCount(1, $this->answers('Regatta dress', $account));
        self::assertSame($before, $lays(), 'the lay goes with it');
    }

    public function testALittleMoreIsBoughtForSomePieces(): void
    {
        $panel = $this->panel('Regatta dress');
        self::assertMatchesRegularExpression('/more of it, to be bought enough alone ask for [\d.]+ (m|cm)/', self::says($panel));
        $key = (string) $panel->filter('.remedies input[value^="elsewhere:buy:"]')->attr('value');
        $this->get('/project/'.$this->project('Regatta dress')->id);
        $this->post($this->url.'/keep', ['with' => [$key]]);
        $answers = $this->answers('Regatta dress', $this->demo());
        self::assertSame(['Kite panel', 'Kite panel'], [$answers[0]->claim->cloth?->name, $answers[1]->claim->wish?->name]);
        self::assertSame(Verdict::Fits, $answers[0]->verdict);
        self::assertSame(Verdict::ToBuy, $answers[1]->verdict);
        $season = $this->project('Regatta dress')->season->id;
        self::assertStringContainsString('Kite panel', self::says($this->get('/shopping?season='.$season)));
    }

    public function testWhatIsTightIsMadeToFitWithSomethingToSpare(): void
    {
        $lantern = $this->service(ProjectRepository::class)->findOneBy(['name' => 'Lantern dress']);
        self::assertNotNull($lantern);
        $shorter = [new Alteration('Shorter', Length::ofMillimetres(-100), [Role::Main])];
        $lantern->current->alterations = $this->service(AlterationCodec::class)->write($shorter);
        $this->service(EntityManagerInterface::class)->flush();
        $panel = $this->panel('Lantern dress');
        self::assertSame(Verdict::Tight, $this->role('Lantern dress')->verdict);
        self::assertStringContainsString('More to spare', self::says($this->get('/project/'.$this->project('Lantern dress')->id)));
        self::assertStringContainsString('Make it fit with something to spare', self::says($panel));
        // 2.315 m on 2.342: 2.23 m would fit with 5 % to spare
        self::assertStringContainsString('9 cm missing', self::says($panel));
        $this->post($this->url.'/keep', ['with' => [(string) $panel->filter('.remedies input[value^="shorter:"]')->attr('value')]]);
        self::assertSame(Verdict::Fits, $this->role('Lantern dress')->verdict);
    }

    public function testSeveralSewnTogetherGetTheirRemediesEach(): void
    {
        $regatta = $this->service(ProjectRepository::class)->findOneBy(['name' => 'Regatta dress']);
        self::assertNotNull($regatta);
        $copy = new CopyRecord($regatta->current);
        $copy->size = '16';
        $claim = new ClaimRecord($regatta->current, $copy);
        $claim->cut = $regatta->current->claims[0]?->cut;
        $this->service(EntityManagerInterface::class)->flush();
        $this->signInToDemo();
        $page = $this->get('/project/'.$this->project('Regatta dress')->id);
        $urls = $page->filter('.enough-panel')->each(static fn (Crawler $panel): string => (string) $panel->attr('data-url'));
        self::assertCount(2, array_unique($urls));
        self::assertCount(1, $page->filter('#enough'));
        foreach ($urls as $url) {
            $panel = self::says($this->get($url.'?least=1'));
            self::assertStringContainsString('Several are sewn together', $panel);
            self::assertStringContainsString('Facings replaced by bias binding', $panel);
        }
        self::assertCount(0, $this->get($urls[0])->filter('.enough-sum .act:not([type])'), 'nothing is kept from here');
        $this->get('/project/'.$this->project('Regatta dress')->id);
        $this->post($urls[0].'/keep', ['with' => ['binding']]);
        self::assertSame(404, $this->browser->getResponse()->getStatusCode());
    }

    public function testNothingTickedAndNonsenseChangeNothing(): void
    {
        $this->panel('Regatta dress');
        $this->get('/project/'.$this->project('Regatta dress')->id);
        $this->post($this->url.'/keep', ['with' => ['no such', '<script>']]);
        self::assertStringContainsString('Nothing is ticked', self::says($this->browser->followRedirect()));
        $this->browser->request('GET', '/project/'.$this->project('Regatta dress')->id.'/enough/01ARZ3NDEKTSV4RRFFQ69G5FAV');
        self::assertResponseStatusCodeSame(200);
        self::assertSame('', $this->browser->getResponse()->getContent(), 'no such claim now');
        $this->browser->loginUser($this->account('else@example.org'));
        $this->browser->request('GET', $this->url);
        self::assertResponseStatusCodeSame(404, 'another account’s');
    }

    private string $url = '';

    private function panel(string $name): Crawler
    {
        $this->signInToDemo();
        $project = $this->project($name);
        $this->url = '/project/'.$project->id.'/enough/'.$project->current->claims[0]->id;

        for ($i = 0; $i < 200; ++$i) {
            $panel = $this->get($this->url);
            if (0 === $panel->filter('[data-waiting]')->count()) {
                return $panel;
            }
        }
        self::fail('Every time one more is laid, so it comes to an end.');
    }

    private function role(string $name): RoleAnswer
    {
        return $this->answers($name, $this->demo())[0];
    }

    /** @return list<RoleAnswer> */
    private function answers(string $name, Account $account): array
    {
        $workroom = $this->workroom($account);
        $project = $this->project($name, $account);
        foreach ((new SeasonCheck($workroom->settings->assumptions))->check($project->season, $workroom->projects)->projects as $answer) {
            if ($answer->project->id === $project->id) {
                return $answer->roles;
            }
        }

        return [];
    }
}
