<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Liking;
use Octavum\Core\Pattern\Pattern;
use Octavum\Tests\PageTestCase;

final class FeaturePagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->signInToDemo();
    }

    public function testWhatAVersionHasIsTickedAndFound(): void
    {
        $slip = $this->pattern('Moth slip');
        $this->get('/versions/'.$slip->versions[0]->id);
        $this->send('Save the version', ['features' => ['sleeveless', 'low neck', 'nonsense']]);
        self::assertResponseStatusCodeSame(422);
        $this->get('/versions/'.$slip->versions[0]->id);
        $this->send('Save the version', ['features' => ['sleeveless', 'low neck']]);
        self::assertSame([Feature::Sleeveless, Feature::LowNeck], $this->pattern('Moth slip')->versions[0]->features);
        self::assertStringContainsString('sleeveless, low neck.', self::says($this->get('/patterns/'.$slip->id)));
        $list = self::says($this->get('/patterns?having[sleeveless]=1'), '.sheet');
        self::assertStringContainsString('Moth slip', $list);
        self::assertStringContainsString('Quarry pinafore', $list);
        self::assertStringNotContainsString('Towpath coat', $list);
        $list = self::says($this->get('/patterns?having[sleeveless]=1&having[pockets]=1&having[<script>]=1'), '.sheet');
        self::assertStringNotContainsString('Moth slip', $list);
        self::assertStringContainsString('Quarry pinafore', $list);
        self::assertStringContainsString('No pattern is like that', self::says($this->get('/patterns?having[square+neck]=1')));
    }

    public function testWhatSomebodyLikesIsKeptAndSaidOfAProject(): void
    {
        $person = $this->workroom($this->account)->people[3];
        self::assertSame('Odalys', $person->name);
        self::assertStringNotContainsString('Odalys never wants', self::says($this->get('/season')));
        $this->get('/people/'.$person->id);
        $this->send('Save the person', ['likings' => ['buttons' => 'never', 'zip' => '', 'hood' => 'avoid', 'pockets' => 'want']]);
        $changed = $this->workroom($this->account)->people[3];
        self::assertEquals(['hood' => Liking::Avoid, 'buttons' => Liking::Never, 'pockets' => Liking::Want], $changed->likings);
        self::assertStringContainsString(
            'Quarry pinafore: Odalys never wants this: buttons. Version A has it.',
            self::says($this->get('/project/'.$this->project('Quarry pinafore')->id)),
        );
        $this->send('undo', []);
        self::assertEquals($person, $this->workroom($this->account)->people[3]);
        $this->get('/people/'.$person->id);
        $this->send('Save the person', ['likings' => ['zip' => 'loves']]);
        self::assertResponseStatusCodeSame(422);
        self::assertEquals($person, $this->workroom($this->account)->people[3]);
    }

    public function testTwoVersionsStandSideBySideByWhatDiffers(): void
    {
        $pinafore = $this->pattern('Quarry pinafore');
        [$a, $b] = $pinafore->versions;
        $page = self::says($this->get('/versions/'.$a->id.'/compare'), '.envelope');
        self::assertStringContainsString('Sleeveless has it –', $page);
        self::assertStringContainsString('Zip – has it', $page);
        self::assertStringNotContainsString('Pockets', $page, 'both have them');
        $coat = $this->pattern('Towpath coat')->versions[0];
        self::assertStringContainsString(
            'Towpath coat',
            self::says($this->get('/versions/'.$a->id.'/compare?with='.$coat->id.'&size=16'), '.head'),
        );
        $this->get('/versions/'.$a->id.'/compare?with=nonsense&size=<script>');
        self::assertStringContainsString('do not differ', self::says($this->get('/versions/'.$b->id.'/compare?with='.$b->id)));
        $this->browser->loginUser($this->account('else@example.org'));
        $this->browser->request('GET', '/versions/'.$a->id.'/compare');
        self::assertResponseStatusCodeSame(404);
    }

    private function pattern(string $title): Pattern
    {
        foreach ($this->workroom($this->account)->patterns as $pattern) {
            if ($pattern->title === $title) {
                return $pattern;
            }
        }
        self::fail('There is no '.$title);
    }
}
