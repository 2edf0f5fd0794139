<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Octavum\Account\Account;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Pattern\Part;
use Octavum\Core\Project\Claim;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Workroom\Workrooms;
use Octavum\Tests\PageTestCase;

/** Each piece its cloth, and parts from other patterns. */
final class PiecePagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->signInToDemo();
    }

    public function testAPieceGetsAClothThatIsOfferedAndGoesBack(): void
    {
        $shirt = $this->project('Bow-locker shirt');
        $path = '/project/'.$shirt->id.'/pieces';
        $page = $this->get($path);
        self::assertCount(11, $page->filter('[name="pieces[]"]'));
        $this->post($path.'/offers', ['pieces' => ['Collar', 'Stand']]);
        $offered = $this->browser->getCrawler();
        self::assertStringContainsString('Midnight sateen', self::says($offered));
        $cut = (string) $offered->filter('.to-cloth')->eq(3)->attr('value');
        $this->get($path);
        $this->post($path, ['pieces' => ['Collar', 'Stand'], 'to' => $cut, 'revision' => $this->revision($path)]);
        self::assertResponseRedirects($path);
        $claims = $this->project('Bow-locker shirt')->current->claims;
        self::assertSame([[], ['Collar', 'Stand']], array_column($claims, 'pieces'));
        self::assertSame('cut '.$claims[1]->cut?->id, $cut);
        self::assertStringContainsString('Collar, Stand', self::says($this->get('/project/'.$shirt->id), '#role-2'));
        self::assertSame(NeedSource::ByArea, $this->way($shirt->id, 0));
        self::assertSame(NeedSource::QuickLay, $this->way($shirt->id, 1));

        $this->post($path, ['pieces' => ['Stand', 'Collar'], 'to' => 'claim '.$claims[0]->id, 'revision' => $this->revision($path)]);
        self::assertSame([[]], array_column($this->project('Bow-locker shirt')->current->claims, 'pieces'));
    }

    public function testIsUndone(): void
    {
        $shirt = $this->project('Bow-locker shirt');
        $path = '/project/'.$shirt->id.'/pieces';
        $this->post($path, ['pieces' => ['Yoke'], 'to' => 'typed', 'buy' => 'Red gingham', 'revision' => $this->revision($path)]);
        $claims = $this->project('Bow-locker shirt')->current->claims;
        self::assertSame(['Red gingham', ['Yoke']], [$claims[1]->wish?->name, $claims[1]->pieces]);
        $this->get($path);
        $this->send('undo', []);
        self::assertSame([[]], array_column($this->project('Bow-locker shirt')->current->claims, 'pieces'));
    }

    public function testWhatIsNotSaidIsAskedForAndNothingIsLost(): void
    {
        $shirt = $this->project('Bow-locker shirt');
        $path = '/project/'.$shirt->id.'/pieces';
        $this->post($path, ['to' => 'typed', 'cut' => 'no such cloth <script>', 'revision' => $this->revision($path)]);
        self::assertResponseStatusCodeSame(422);
        $says = self::says($this->browser->getCrawler());
        self::assertStringContainsString('Press the pieces first, then the cloth they come from.', $says);
        self::assertStringContainsString('There is no cut called “no such cloth', $says);
        $this->post($path, ['pieces' => ['Yoke', 'Nonsense'], 'to' => 'typed', 'revision' => $this->revision($path)]);
        self::assertStringContainsString('Which cloth?', self::says($this->browser->getCrawler()));
        self::assertNotNull($this->browser->getCrawler()->filter('[value=Yoke]')->attr('checked'), 'still pressed');
        $this->post($path, ['pieces' => ['Yoke'], 'to' => 'claim nobody’s', 'revision' => $this->revision($path)]);
        self::assertResponseStatusCodeSame(404);
        self::assertEquals($shirt->current->claims, $this->project('Bow-locker shirt')->current->claims);
    }

    public function testAnOptionGetsItsOwnClothForAPieceAndWhatLeadsStaysAsItIs(): void
    {
        $coat = $this->project('Towpath coat');
        $cushion = $this->project('Lockside cushion');
        $this->get('/project/'.$cushion->id.'/option/new');
        $this->send('Save the option', []);
        $option = $this->project('Lockside cushion')->openOptions()[0];
        $path = '/project/'.$cushion->id.'/pieces?option='.$option->id;
        self::assertStringContainsString('an option', self::says($this->get($path), '.head'));
        self::assertStringContainsString('fits 66 cm to spare', self::says($this->get($path), '.cloths-to'));
        $this->post($path, ['pieces' => ['Band 2'], 'to' => 'buy', 'buy' => 'Red felt', 'revision' => $this->revision($path)]);
        self::assertResponseRedirects($path);
        $changed = $this->project('Lockside cushion');
        self::assertEquals($cushion->current->claims, $changed->current->claims);
        $claims = $changed->openOptions()[0]->claims;
        $felt = array_values(array_filter($claims, static fn (Claim $claim): bool => 'Red felt' === $claim->wish?->name));
        self::assertSame([['Band 2']], array_column($felt, 'pieces'));
        $this->get($path);
        $this->send('undo', []);
        $undone = $this->project('Lockside cushion')->openOptions()[0];
        self::assertSame(array_column($option->claims, 'pieces'), array_column($undone->claims, 'pieces'));
        $this->get($path);
        $this->post('/project/'.$cushion->id.'/pieces/offers?option='.$option->id, ['pieces' => ['Band 2']]);
        self::assertStringContainsString('Possible', self::says($this->browser->getCrawler()));
        $this->browser->request('GET', '/project/'.$coat->id.'/pieces?option='.$option->id);
        self::assertResponseStatusCodeSame(404, 'it is none of this project');
    }

    public function testAPieceMayBeCalledByANumberOrByNonsense(): void
    {
        $cushion = $this->project('Lockside cushion');
        foreach (['7', '<script>alert(1)</script>', '🧵, two'] as $name) {
            $this->get('/versions/'.$cushion->current->version?->id.'/pieces/new');
            $this->send('Save the piece', ['pieceName' => $name, 'shapes' => [['m' => ['length' => '30', 'width' => '20']]]]);
            $path = '/project/'.$cushion->id.'/pieces';
            $this->post($path, ['pieces' => [$name], 'to' => 'buy', 'buy' => 'Cloth for '.$name, 'revision' => $this->revision($path)]);
            $claims = $this->project('Lockside cushion')->current->claims;
            self::assertSame([$name], end($claims)->pieces ?? null);
            $this->get($path);
            self::assertStringNotContainsString('<script>alert', (string) $this->browser->getResponse()->getContent());
            $this->get('/project/'.$cushion->id);
            $this->get('/project/'.$cushion->id.'/change');
            $this->send('Save the project', ['notes' => 'saved again']);
            $claims = $this->project('Lockside cushion')->current->claims;
            self::assertSame([$name], end($claims)->pieces ?? null, 'the form keeps it');
        }
    }

    public function testATabThatWasOpenedBeforeChangesNothing(): void
    {
        $path = '/project/'.$this->project('Bow-locker shirt')->id.'/pieces';
        $old = $this->revision($path);
        $this->post($path, ['pieces' => ['Yoke'], 'to' => 'buy', 'buy' => 'Gingham', 'revision' => $old]);
        $this->get($path);
        $this->post($path, ['pieces' => ['Pocket'], 'to' => 'buy', 'buy' => 'Poplin', 'revision' => $old]);
        self::assertStringContainsString('was changed elsewhere', self::says($this->browser->followRedirect()));
        self::assertCount(2, $this->project('Bow-locker shirt')->current->claims);
    }

    public function testAnothersProjectIsNotFound(): void
    {
        $id = $this->project('Bow-locker shirt')->id;
        $this->browser->loginUser($this->account());
        foreach (['', '/offers'] as $of) {
            $this->get('/season/new');
            $this->post('/project/'.$id.'/pieces'.$of, ['pieces' => ['Yoke'], 'to' => 'typed']);
            self::assertResponseStatusCodeSame(404);
        }
    }

    public function testPartsAreTypedFoundByTheirNamesAndCounted(): void
    {
        $shirt = $this->project('Bow-locker shirt');
        $this->get('/project/'.$shirt->id.'/change');
        $this->send('Save the project', ['parts' => [['kind' => 'sleeves', 'version' => 'tiller tee b long', 'size' => '14']]]);
        [$part] = $this->project('Bow-locker shirt')->current->parts;
        self::assertSame(
            ['Tiller tee', 'B, long sleeves', '14', ['Sleeve'], ['Sleeve']],
            [$part->pattern?->title, $part->version?->name, $part->size, $part->pieces, $part->instead],
        );
        self::assertSame(NeedSource::ByArea, $this->way($shirt->id, 0));
        $page = $this->get('/project/'.$shirt->id.'/pattern');
        self::assertStringContainsString('Sleeves: Tiller tee , B, long sleeves, size 14: Sleeve, instead of Sleeve', self::says($page));
        self::assertStringContainsString('sleeves from Tiller tee', self::says($page));
        $this->send('undo', []);
        self::assertSame([], $this->project('Bow-locker shirt')->current->parts);
    }

    public function testWithItsPatternGoneAPartIsAskedForAndWithItsClothGoneAPieceIs(): void
    {
        $shirt = $this->project('Bow-locker shirt');
        $this->get('/project/'.$shirt->id.'/change');
        $this->send('Save the project', ['parts' => [['kind' => 'sleeves', 'version' => 'tiller tee b long', 'size' => '14']]]);
        $pattern = $this->project('Bow-locker shirt')->current->parts[0]->pattern->id ?? '';
        $this->get('/patterns/'.$pattern);
        $this->post('/patterns/'.$pattern.'/remove');
        $undo = $this->offeredUndo();
        $without = $this->project('Bow-locker shirt');
        $part = $without->current->parts[0];
        self::assertSame([null, ['Sleeve']], [$part->version, $part->pieces], 'what was said of it stays');
        self::assertStringContainsString('not known yet', self::says($this->get('/project/'.$shirt->id), '#role-1'));
        $this->post($undo);
        $this->get('/season');
        self::assertSame('Tiller tee', $this->project('Bow-locker shirt')->current->parts[0]->pattern?->title);

        $cushion = $this->project('Lockside cushion');
        $cloth = $cushion->current->claims[0]->cloth->id ?? '';
        $this->post('/cloth/'.$cloth.'/remove');
        $undo = $this->offeredUndo();
        $claim = $this->project('Lockside cushion')->current->claims[0];
        self::assertSame([null, ['Band 1']], [$claim->cloth, $claim->pieces]);
        self::assertStringContainsString('no cloth yet', self::says($this->get('/project/'.$cushion->id.'/pieces'), '.cloths-to'));
        $this->post($undo);
        self::assertSame($cloth, $this->project('Lockside cushion')->current->claims[0]->cloth?->id);
    }

    public function testAPieceOfAPartMayHaveACommaInItsName(): void
    {
        $shirt = $this->project('Bow-locker shirt');
        $tee = array_values(array_filter(
            $this->workroom($this->account)->patterns,
            static fn ($pattern): bool => 'Tiller tee' === $pattern->title,
        ))[0]->versions[0];
        $this->get('/versions/'.$tee->id.'/pieces/new');
        $this->send('Save the piece', ['pieceName' => 'Sleeve, lower', 'shapes' => [['m' => ['length' => '30', 'width' => '20']]]]);
        $this->get('/project/'.$shirt->id.'/change');
        $this->send('Save the project', ['parts' => [['kind' => 'sleeves', 'version' => 'tiller tee, a', 'size' => '14']]]);
        self::assertSame(['Sleeve', 'Sleeve, lower'], $this->project('Bow-locker shirt')->current->parts[0]->pieces);
        $this->get('/project/'.$shirt->id.'/change');
        $this->send('Save the project', ['notes' => 'once more']);
        self::assertEqualsCanonicalizing(['Sleeve', 'Sleeve, lower'], $this->project('Bow-locker shirt')->current->parts[0]->pieces);
    }

    public function testWhatIsNoPartIsSaidAndKept(): void
    {
        $shirt = $this->project('Bow-locker shirt');
        $this->get('/project/'.$shirt->id.'/change');
        $this->send('Save the project', ['parts' => [
            ['kind' => '', 'version' => 'tiller tee b long', 'size' => '99'],
        ]]);
        $says = self::says($this->browser->getCrawler());
        self::assertStringContainsString('What comes from this pattern?', $says);
        self::assertStringContainsString('Size 99 is not in the table of version B, long sleeves', $says);
        $this->send('Save the project', ['parts' => [
            ['kind' => 'sleeves', 'version' => 'no such', 'size' => '', 'instead' => 'Tail'],
        ]]);
        $says = self::says($this->browser->getCrawler());
        self::assertStringContainsString('There is no version called “no such” in the library', $says);
        self::assertStringContainsString('There is no piece called “Tail” in it: it has Front, Back', $says);
        $this->send('Save the project', ['parts' => [
            ['kind' => 'hood', 'version' => 'tiller tee b long', 'size' => '14', 'instead' => ''],
        ]]);
        $says = self::says($this->browser->getCrawler());
        self::assertStringContainsString('Which pieces of B, long sleeves are they? It has Front, Back, Sleeve, Neckband.', $says);
        self::assertSame([], $this->project('Bow-locker shirt')->current->parts);
    }

    public function testPartsAndPiecesGoOutAndComeBackTheSameAndAnOptionTakesThemAlong(): void
    {
        $shirt = $this->project('Bow-locker shirt');
        $this->get('/project/'.$shirt->id.'/option/new');
        $this->send('Save the option', ['parts' => [['kind' => 'sleeves', 'version' => 'tiller tee b long', 'size' => '14']]]);
        $path = '/project/'.$shirt->id.'/pieces';
        $this->post($path, ['pieces' => ['Yoke'], 'to' => 'buy', 'buy' => 'Gingham', 'revision' => $this->revision($path)]);
        $workroom = $this->workroom($this->account);
        $written = (new WorkroomWriter())->write($workroom);
        $read = (new WorkroomReader())->read($written);
        self::assertSame($written, (new WorkroomWriter())->write($read));
        $this->service(Workrooms::class)->replace($this->fresh($this->account), $read);
        $back = $this->project('Bow-locker shirt');
        self::assertSame([[], ['Yoke']], array_column($back->current->claims, 'pieces'));
        self::assertSame(
            [['Tiller tee', 'B, long sleeves']],
            array_map(static fn (Part $part): array => [$part->pattern?->title, $part->version?->name], $back->openOptions()[0]->parts),
        );
        $revision = $this->revision('/project/'.$back->id);
        $this->post('/project/'.$back->id.'/option/'.$back->openOptions()[0]->id.'/take', ['revision' => $revision, 'keep' => '1']);
        $taken = $this->project('Bow-locker shirt');
        self::assertSame([1, 0], [\count($taken->current->parts), \count($taken->openOptions()[0]->parts)]);
    }

    public function testSomePiecesAreLaidOnTheirClothAlone(): void
    {
        $shirt = $this->project('Bow-locker shirt');
        $path = '/project/'.$shirt->id.'/pieces';
        $this->get($path);
        $this->post($path.'/offers', ['pieces' => ['Collar', 'Stand']]);
        $cut = (string) $this->browser->getCrawler()->filter('.to-cloth')->eq(3)->attr('value');
        $this->post($path, ['pieces' => ['Collar', 'Stand'], 'to' => $cut, 'revision' => $this->revision($path)]);
        $claim = $this->project('Bow-locker shirt')->current->claims[1];
        $page = $this->get('/table/new?project='.$shirt->id.'&role=main&claim='.$claim->id);
        /** @var array{pieces: array<string, mixed>, garments: list<array{name: string}>} $mat */
        $mat = json_decode($page->filter('#mat')->text(), true);
        self::assertSame(['0/Collar', '0/Stand'], array_keys($mat['pieces']));
        self::assertSame('Bow-locker shirt (Collar, Stand)', $mat['garments'][0]['name']);
        /** @var array{pieces: array<string, mixed>} $rest */
        $rest = json_decode($this->get('/table/new?project='.$shirt->id)->filter('#mat')->text(), true);
        self::assertArrayNotHasKey('0/Collar', $rest['pieces']);
        self::assertArrayHasKey('0/Yoke', $rest['pieces']);
    }

    private function revision(string $path): string
    {
        return (string) $this->get($path)->filter('[name=revision]')->first()->attr('value');
    }

    private function way(string $project, int $role): ?NeedSource
    {
        $plan = $this->service(PlanLoader::class);
        foreach ($plan->projects($this->fresh($this->account)) as $one) {
            if ($one->id === $project) {
                $checked = $this->service(PlanChecker::class)->check($this->account, $one->season);

                return $checked->projects[$one->rank - 1]->roles[$role]->need->way ?? null;
            }
        }
        self::fail('It is not there.');
    }
}
