<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\DomCrawler\Crawler;

final class MatchPagesTest extends PageTestCase
{
    public function testAClothWithoutAPlanGetsFiveHonestProposals(): void
    {
        $page = $this->lay('Plum ponte');
        self::assertStringContainsString('what can 2.23 m become?', self::says($page));
        $rows = $page->filter('.group')->eq(0)->filter('.proposal');
        $names = $rows->each(static fn (Crawler $row): string => $row->filter('.who a')->text());
        self::assertSame(['Tiller tee', 'Tiller tee', 'Tiller tee'], $names);
        self::assertStringContainsString('Stretches 35 %, it wants 25. Falls soft, as it should.', self::says($page, '.group .why'));
        self::assertGreaterThanOrEqual(5, $page->filter('.proposal .strip')->count());
        self::assertStringContainsString('A wrap in a knit drops at the hem', self::says($page));
        self::assertMatchesRegularExpression('/Windmill top.*none is near Ottoline’s measures/', self::says($page));
        self::assertStringContainsString('Drafted for woven cloth, and this is knit.', self::says($page));
        $reasons = self::says($page, '.proposal template');
        self::assertStringContainsString('The weight is right: heavy, and it wants light to heavy. +2', $reasons);
        self::assertStringContainsString('Score 8', $reasons);
        $plan = $rows->eq(0)->filter('.act')->link();
        self::assertStringContainsString('size=14', $plan->getUri());
        $form = $this->browser->click($plan);
        self::assertSame('14', $form->filter('[name=size]')->attr('value'));
        self::assertMatchesRegularExpression('/Tiller tee, A/', (string) $form->filter('[name=version]')->attr('value'));
        self::assertStringContainsString('Plum ponte', (string) $form->filter('[name^=claims][name*=cut]')->attr('value'));
    }

    public function testWhatANameTellsIsShownAsAGuessAndPutsACoatLast(): void
    {
        $this->signInToDemo();
        $page = $this->get('/match?'.http_build_query(['q' => '3 m silk chiffon 140 wide']));
        self::assertStringContainsString('about 30 to 70 g/m²?', $page->filter('.match-roll .guess')->eq(0)->text());
        $last = $page->filter('.group')->reduce(
            static fn (Crawler $group): bool => str_starts_with($group->filter('h2')->text(), 'Won’t work, as far as is known'),
        );
        self::assertStringContainsString('Towpath coat', $last->text());
        self::assertStringContainsString('guessed from “chiffon”.', $last->text());
        self::assertStringNotContainsString('Towpath coat', $page->filter('.group')->eq(0)->text());
        $unknown = $this->get('/match?'.http_build_query(['q' => '3 m 140 wide']));
        self::assertStringContainsString('Not known nothing is known of the cloth but its size', self::says($unknown));
        self::assertStringNotContainsString('Made for it', self::says($unknown));
    }

    public function testWhatSpeaksAgainstAClothStandsWhereItIsChosenUntilOverruled(): void
    {
        $this->signInToDemo();
        $slip = $this->project('Moth slip');
        $claim = $slip->current->claims[0];
        $pages = ['/project/'.$slip->id, '/project/'.$slip->id.'/gate/'.$claim->id];
        foreach ($pages as $page) {
            self::assertStringContainsString('sew a toile first', self::says($this->get($page), '.doubts'), $page);
        }
        $pair = ['cloth' => (string) $claim->cloth?->id, 'version' => (string) $slip->current->version?->id];
        $this->post('/match/overrule', $pair + ['reason' => 'I know it well', 'back' => '/match']);
        foreach ($pages as $page) {
            self::assertCount(0, $this->get($page)->filter('.doubts'), $page);
        }
    }

    public function testSeveralClothsAreLaidBesideOneAnother(): void
    {
        $this->signInToDemo();
        $page = $this->lay('Plum ponte');
        $form = $page->filter('.lay-cloth')->form();
        $page = $this->get('/match?'.http_build_query(['q' => '2.2 m, 140 wide, linen, 185 gsm', 'beside' => 1] + $form->getPhpValues()));
        self::assertStringStartsWith('Plum ponte, ', $page->filter('h1')->text());
        self::assertCount(2, $page->filter('.match-roll'));
        $from = $page->filter('.proposal .who b')->each(static fn (Crawler $name): string => $name->text());
        self::assertContains('Plum ponte', $from);
        self::assertGreaterThan(1, \count(array_unique($from)));
        $versions = $page->filter('.proposal')->each(static fn (Crawler $row): string => (string) $row->attr('id'));
        self::assertSame($versions, array_values(array_unique($versions)), 'each stands once, from the cloth that is best for it');
        self::assertStringContainsString('also enough:', self::says($page));
        $page = $this->browser->click($page->selectLink('Put it away Plum ponte')->link());
        self::assertCount(1, $page->filter('.match-roll'));
        self::assertStringContainsString('185 g/m²', self::says($page, '.match-roll'));
        $page = $this->get('/match?with[]=01ARZ3NDEKTSV4RRFFQ69G5FAV&with[]=&with[x][]=1');
        self::assertCount(0, $page->filter('.match-roll'), 'another account’s cut is no cloth');
    }

    public function testWhatIsShortSaysTheLeastChangeThatMakesItEnough(): void
    {
        $page = $this->lay('Moss linen');
        $asked = (string) $page->filter('.proposal [data-least]')->eq(0)->attr('data-least');
        self::assertMatchesRegularExpression('/^Enough with this: .* By area, give or take 15 %\.$/', self::says($this->get($asked)));
        $this->get(preg_replace('/cut=\w+/', 'cut=01ARZ3NDEKTSV4RRFFQ69G5FAV', $asked) ?? '');
        self::assertSame('', $this->browser->getResponse()->getContent());
        $evensong = $this->version('Evensong dress', 'A');
        $cloths = array_column($this->workroom($this->demo())->cloths, null, 'name');
        $kite = $cloths['Kite panel']->cuts[0]->id;
        $least = $this->get('/match/least?'.http_build_query(['version' => $evensong, 'cut' => $kite, 'size' => '14', 'whole' => 1]));
        self::assertMatchesRegularExpression('/^(Enough with this: |Laid out it is enough)/', self::says($least), 'its pieces are laid');
    }

    public function testACutForEachRoleThatGoTogetherIsPlannedAtOnce(): void
    {
        $this->signInToDemo();
        $page = $this->get('/match/pattern?version='.$this->version('Towpath coat', 'A, short'));
        $first = $page->filter('.combined')->eq(0);
        self::assertStringContainsString('main Tar coating 1.73 m of 2.65 m', self::says($page, '.combined'));
        self::assertStringContainsString('Slate lining has a colour near one of Tar coating.', self::says($page, '.combined'));
        $form = $this->browser->click($first->filter('a.act')->link());
        $cuts = $form->filter('[name^=claims][name*=cut]')->each(static fn (Crawler $cut): string => (string) $cut->attr('value'));
        self::assertStringContainsString('Tar coating', implode(' ', $cuts));
        self::assertStringContainsString('Slate lining', implode(' ', $cuts));
    }

    public function testWhatOthersArePromisedIsNotFree(): void
    {
        $page = self::says($this->lay('Heron lawn'));
        self::assertStringContainsString('Reserved for Heron skirt, Allotment shorts, with 0 cm left over.', $page);
        self::assertStringContainsString('What follows is shown as if all of it were free.', $page);
        $whole = self::says($this->get($this->browser->getRequest()->getRequestUri().'&whole=1'));
        self::assertMatchesRegularExpression('/what can \d\.\d+ m become/', $whole);
    }

    public function testAClothOnItsRollSaysWhatLengthToAskFor(): void
    {
        $this->signInToDemo();
        $page = $this->get('/match?q='.rawurlencode('140 wide, linen, 18 eur per m'));
        self::assertMatchesRegularExpression('/Ask for \d\.\d0 m ?: it makes \d+ versions and costs €\d+\.\d\d/', self::says($page));
        self::assertCount(1, $page->filter('.curve .is-knee'));
        self::assertCount(0, $page->filter('.v-short'));
    }

    public function testATypedClothWithALengthIsLaidAtOnce(): void
    {
        $this->signInToDemo();
        $page = $this->get('/match?q='.rawurlencode('1.3 m, 138 wide, linen, one-way'));
        self::assertMatchesRegularExpression('/what can 1\.\d\d m become/', self::says($page));
        self::assertStringContainsString('one-way', self::says($page, '.match-roll'));
    }

    public function testTheFilterNarrowsAndGoesAlong(): void
    {
        $this->signInToDemo();
        $page = $this->get('/match?q='.rawurlencode('3 m, 140 wide, linen').'&garment=skirt&hours=4&without[]=zip&days=warm+days');
        foreach ($page->filter('.proposal .who')->each(static fn ($row): string => $row->text()) as $row) {
            self::assertMatchesRegularExpression('/skirt/', $row);
        }
        self::assertSame('skirt', $page->filter('.lay-cloth input[name=garment]')->attr('value'));
        self::assertStringContainsString('A cloth for warm days.', self::says($page, '.proposal'));
        $page = $this->get('/match?q='.rawurlencode('3 m, 140 wide, linen').'&having[]=wrap+front&having[]=nonsense');
        self::assertSame(['Ferry wrap skirt', 'Ferry wrap skirt'], $page->filter('.proposal .who a')->each(
            static fn (Crawler $name): string => $name->text(),
        ));
    }

    public function testAPatternIsLaidBeforeTheStashRoleByRole(): void
    {
        $coat = $this->version('Towpath coat', 'C');
        $page = $this->get('/match/pattern?version='.$coat);
        self::assertStringContainsString('C, size 14, for Ottoline', self::says($page));
        self::assertContains('Lining', $page->filter('.role-head')->each(static fn ($head): string => $head->text()));
        self::assertStringContainsString('It does not slip: a lining of it drags on the clothes under it.', self::says($page));
        self::assertStringContainsString('It fits closely, and you have not made it before.', self::says($page, '.toile'));
        self::assertStringContainsString('Drafted for woven cloth, and this is knit.', self::says($page));
        self::assertStringContainsString('size 16', self::says($this->get('/match/pattern?version='.$coat.'&size=16')));
        $boxed = $this->get('/match/pattern?version='.$coat.'&place=Cedar+box');
        self::assertStringContainsString('Tar coating', self::says($boxed));
        self::assertStringNotContainsString('Moss linen', self::says($boxed, '.group'));
        $toile = $this->browser->click($page->selectLink('Plan the toile')->link());
        self::assertSame('Toile: Towpath coat', $toile->filter('[name=name]')->attr('value'));
        self::assertStringContainsString('Toile cotton', (string) $toile->filter('[name^=claims][name*=cut]')->attr('value'));
        $later = $this->browser->click($page->selectLink('Plan it for when the toile fits')->link());
        self::assertSame('the toile fits', $later->filter('[name=when]')->attr('value'));
    }

    #[DataProvider('nonsense')]
    public function testNonsenseIsAnsweredWithASentence(string $path, string $says): void
    {
        $this->signInToDemo();
        self::assertStringContainsString($says, self::says($this->get($path)));
    }

    /** @return iterable<array{string, string}> */
    public static function nonsense(): iterable
    {
        yield ['/match', 'Nothing is planned from these yet'];
        yield ['/match?q=%3Cscript%3Ealert(1)%3C/script%3E', 'what would each length of it make?'];
        yield ['/match?q=%F0%9F%A7%B5%F0%9F%A7%B5', 'width not known'];
        yield ['/match?cut=01ARZ3NDEKTSV4RRFFQ69G5FAV', 'Nothing is planned from these yet'];
        yield ['/match?cut[]=x&q[]=y&without=z&hours[]=1', 'Nothing is planned from these yet'];
        yield ['/match?q=2m+linen+140+wide&hours=banana', 'cannot be read as hours'];
        yield ['/match?q=2m+linen+140+wide&garment=curtain', 'No pattern to lay it for'];
        yield ['/match/pattern?q=no+such+thing', 'There is no version called “no such thing”'];
        yield ['/match/pattern?version=01ARZ3NDEKTSV4RRFFQ69G5FAV', 'what have I got for this?'];
    }

    public function testTheSewistOverrulesWithAReasonWhichIsKeptAndTakenBack(): void
    {
        $page = self::says($this->lay('Big peony viscose'));
        self::assertStringContainsString('You said it will do: Cut on the bias it hangs like the crepe in the picture.', $page);
        $version = $this->version('Evensong dress', 'A');
        $page = $this->lay('Plum ponte');
        $this->browser->submit($page->filter('.group > .overrule form')->form(['version' => $version, 'reason' => ' ']));
        self::assertStringContainsString('Say in a few words why', self::says($this->browser->followRedirect()));
        $page = $this->browser->getCrawler();
        $this->browser->submit($page->filter('.group > .overrule form')->form(['version' => $version, 'reason' => 'ponte is <stable>']));
        $page = $this->browser->followRedirect();
        $row = $page->filter('#v'.$version);
        self::assertStringContainsString('You said it will do: ponte is <stable>', $row->filter('.why')->text());
        self::assertStringContainsString('Drafted for woven cloth, and this is knit.', self::says($page, '#v'.$version.' template'));
        $pattern = self::says($this->get('/match/pattern?version='.$version));
        self::assertStringContainsString('You said it will do', $pattern, 'the other way round, too');
        $page = $this->lay('Plum ponte');
        $this->browser->submit($page->filter('#v'.$version.' form.overrule')->selectButton('Let the rules judge again')->form());
        self::assertCount(0, $this->browser->followRedirect()->filter('#v'.$version));
        $this->send('undo', []);
        $this->browser->followRedirect();
        self::assertStringContainsString('ponte is <stable>', self::says($this->lay('Plum ponte'), '#v'.$version.' .why'));
    }

    public function testHowOneSewsIsCounted(): void
    {
        $this->signInToDemo();
        $this->get('/settings');
        $this->send('Save how you sew', [
            'avoids' => [8 => 'invisible zip'],
            'lacks' => [3 => 'a stretch stitch or an overlocker'],
            'toiles' => 'never',
        ]);
        $page = $this->browser->followRedirect();
        self::assertSame('never', $page->filter('#sewing [name=toiles] option[selected]')->attr('value'));
        $dress = $this->get('/match/pattern?version='.$this->version('Evensong dress', 'A'));
        self::assertStringContainsString('It has what you would rather not sew: invisible zip.', self::says($dress));
        self::assertCount(0, $dress->filter('.toile'));
        self::assertStringContainsString('which you say you have not', self::says($this->lay('Plum ponte')));
        $this->get('/settings');
        $this->send('Save the settings', ['counter' => '25 cm']);
        self::assertSame('never', $this->workroom($this->demo())->settings->sewist->toiles->value, 'the other form leaves it');
    }

    public function testANewcomerIsToldWhatToEnterFirst(): void
    {
        $this->browser->loginUser($this->account('new@example.org'));
        self::assertStringContainsString('A line without a length is a cloth still on its roll', self::says($this->get('/match')));
        self::assertStringContainsString('No pattern to lay it for', self::says($this->get('/match?q=2+m+linen+140+wide')));
        self::assertStringContainsString('Nothing in the library suits it', self::says($this->get('/match?q=linen+140+wide')));
        self::assertStringContainsString('There is no pattern yet', self::says($this->get('/match/pattern')));
        self::assertStringContainsString('season', self::says($this->get('/match/best')));
    }

    public function testAnothersCutIsNotLaid(): void
    {
        $this->signInToDemo();
        $cut = $this->workroom($this->demo())->cloths[0]->cuts[0]->id;
        $this->browser->loginUser($this->account('else@example.org'));
        self::assertStringNotContainsString('become?', self::says($this->get('/match?cut='.$cut)));
    }

    private function lay(string $name): Crawler
    {
        $this->signInToDemo();
        $cloths = array_filter($this->workroom($this->demo())->cloths, static fn (Cloth $one): bool => $name === $one->name);

        return $this->get('/match?cut='.array_values($cloths)[0]->cuts[0]->id);
    }

    private function version(string $pattern, string $name): string
    {
        $this->signInToDemo();
        foreach ($this->workroom($this->demo())->patterns as $one) {
            foreach ($one->title === $pattern ? $one->versions : [] as $version) {
                if ($version->name === $name) {
                    return $version->id;
                }
            }
        }
        self::fail('There is no '.$pattern.', '.$name);
    }
}
