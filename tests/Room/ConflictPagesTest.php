<?php

declare(strict_types=1);

namespace Octavum\Tests\Room;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Driver\Exception as DriverFault;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Event\PostLoadEventArgs;
use Doctrine\ORM\Events;
use Octavum\Store\Project\SeasonRecord;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** Two tabs, or two people, on one thing. */
final class ConflictPagesTest extends PageTestCase
{
    /**
     * @param array<string, string> $first
     * @param array<string, string> $second
     */
    #[DataProvider('forms')]
    public function testTheLaterTabSeesBothAndLosesNothing(string $path, string $button, array $first, array $second): void
    {
        $account = $this->signInToDemo();
        $path = strtr($path, ['PERSON' => $this->workroom($account)->people[0]->id, 'SEASON' => $this->workroom($account)->seasons[0]->id]);
        $form = $this->get($path)->selectButton($button)->form();
        $this->send($button, $first);
        self::assertResponseRedirects();
        $page = $this->browser->request('POST', $form->getUri(), $second + $form->getPhpValues());
        self::assertResponseStatusCodeSame(409);
        $said = self::says($page);
        self::assertStringContainsString('This was changed somewhere else since you opened it', $said);
        foreach ($first as $field => $value) {
            self::assertStringContainsString('Saved now: “'.$value.'”', $said);
            self::assertSame(
                $second[$field],
                $page->filter('[name='.$field.']')->attr('value') ?? $page->filter('[name='.$field.']')->text(),
            );
        }
        $this->send($button, []);
        self::assertResponseRedirects();
        $page = $this->get($path);
        foreach ($second as $field => $value) {
            self::assertSame(
                $value,
                $page->filter('[name='.$field.']')->attr('value') ?? $page->filter('[name='.$field.']')->text(),
                'saved again, it takes its place',
            );
        }
    }

    /** @return iterable<string, array{string, string, array<string, string>, array<string, string>}> */
    public static function forms(): iterable
    {
        yield 'a season' => [
            '/season/SEASON/edit',
            'Save the season',
            ['name' => 'Melt', 'notes' => 'the tour'],
            ['name' => 'Frost', 'notes' => 'the regatta'],
        ];
        $second = ['name' => 'Otti', 'notes' => 'b'];
        yield 'a person' => ['/people/PERSON', 'Save the person', ['name' => 'Ottoline', 'notes' => 'a'], $second];
        yield 'settings' => ['/settings', 'Save the settings', ['currency' => 'GBP'], ['currency' => 'SEK']];
    }

    /**
     * @param array<string, string> $first
     * @param array<string, string> $second
     */
    #[DataProvider('apart')]
    public function testWhatOnlyOneTabChangedIsNoConflict(string $path, string $button, array $first, array $second): void
    {
        $account = $this->signInToDemo();
        $path = strtr($path, [
            'PERSON' => $this->workroom($account)->people[0]->id,
            'SEASON' => $this->workroom($account)->seasons[0]->id,
            'CLOTH' => $this->workroom($account)->cloths[0]->id,
            'PATTERN' => $this->workroom($account)->patterns[0]->id,
            'PROJECT' => $this->project('Choir dress')->id,
        ]);
        $form = $this->get($path)->selectButton($button)->form();
        $this->send($button, $first);
        self::assertResponseRedirects();
        $this->browser->request('POST', $form->getUri(), $second + $form->getPhpValues());
        self::assertResponseRedirects(message: 'nothing is asked');
        $page = $this->get($path);
        foreach ($first + $second as $field => $value) {
            $here = $page->filter('[name='.$field.']');
            self::assertSame($value, $here->attr('value') ?? $here->text(), 'both are saved');
        }
    }

    /** @return iterable<string, array{string, string, array<string, string>, array<string, string>}> */
    public static function apart(): iterable
    {
        yield 'a season' => ['/season/SEASON/edit', 'Save the season', ['name' => 'Melt'], ['notes' => 'the regatta']];
        yield 'its first day' => ['/season/SEASON/edit', 'Save the season', ['starts' => '8 Mar 2027'], ['name' => 'Melt']];
        yield 'settings' => ['/settings', 'Save the settings', ['currency' => 'GBP'], ['name' => 'Otti']];
        yield 'a cloth' => ['/cloth/CLOTH/edit', 'Save the cloth', ['place' => 'Locker 9'], ['notes' => 'smells of lavender']];
        yield 'a pattern' => ['/patterns/PATTERN/edit', 'Save the pattern', ['place' => 'Box 9'], ['notes' => 'runs long']];
        yield 'a project' => ['/project/PROJECT/change', 'Save the project', ['deadline' => '12 Apr 2027'], ['occasion' => 'the tour']];
        yield 'a person' => ['/people/PERSON', 'Save the person', ['name' => 'Otti'], ['notes' => 'b']];
    }

    public function testADraftIsShownAsItWasTypedAndSavesNothing(): void
    {
        $account = $this->signInToDemo();
        $cloth = $this->workroom($account)->cloths[0];
        $form = $this->get('/cloth/'.$cloth->id.'/edit')->selectButton('Save the cloth')->form();
        $typed = ['name' => '', 'width' => 'about two hands', '_draft' => '1'] + $form->getPhpValues();
        $this->send('Save the cloth', ['place' => 'Locker 9']);
        $page = $this->browser->request('POST', $form->getUri(), $typed);
        self::assertResponseStatusCodeSame(200);
        self::assertSame('about two hands', $page->filter('[name=width]')->attr('value'));
        self::assertCount(0, $page->filter('.fault'), 'it has no faults yet');
        self::assertSame($cloth->name, $this->workroom($account)->cloths[0]->name);
        $this->send('Save the cloth', ['name' => 'Moss', 'width' => '140']);
        self::assertResponseRedirects();
        self::assertSame(['Moss', 'Locker 9'], [
            $this->workroom($account)->cloths[0]->name,
            $this->workroom($account)->cloths[0]->keeping->place,
        ], 'what was changed meanwhile stays');
    }

    public function testOfTwoRequestsAtOnceTheLaterBeginsAnewAndIsAsked(): void
    {
        $account = $this->signInToDemo();
        $season = $this->workroom($account)->seasons[0]->id;
        $this->get('/season/'.$season.'/edit');
        $this->meanwhile("UPDATE season SET name = 'Melt', revision = revision + 1 WHERE id = '".$season."'");
        $page = $this->send('Save the season', ['name' => 'Frost']);
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('Saved now: “Melt”', self::says($page));
        self::assertSame('Frost', $page->filter('#f-name')->attr('value'));
    }

    public function testWhatWasTypedIntoAFormIsHandedBackWhenItsThingIsGone(): void
    {
        $account = $this->signInToDemo();
        $cloth = $this->workroom($account)->cloths[0];
        $form = $this->get('/cloth/'.$cloth->id.'/edit')
            ->selectButton('Save the cloth')
            ->form();
        $this->browser->request('POST', '/cloth/'.$cloth->id.'/remove', ['_token' => $form->getPhpValues()['_token']]);
        $page = $this->browser->request('POST', $form->getUri(), ['notes' => 'smells of lavender'] + $form->getPhpValues());
        self::assertResponseStatusCodeSame(404);
        self::assertStringContainsString('smells of lavender', self::says($page));
    }

    #[DataProvider('disks')]
    public function testADiskThatCannotBeWrittenIsSaidAndReadingGoesOn(string $fault, int $status, string $says): void
    {
        $this->signInToDemo();
        $page = $this->get('/cloth/new');
        $this->browser->disableReboot();
        $this->service(EntityManagerInterface::class)->getEventManager()->addEventListener(
            Events::preFlush,
            new class($fault) {
                public function __construct(private readonly string $fault)
                {
                }

                public function preFlush(): void
                {
                    throw new DriverException(new class($this->fault) extends \Exception implements DriverFault {
                        public function getSQLState(): ?string
                        {
                            return null;
                        }
                    }, null);
                }
            },
        );
        $page = $this->send('Save the cloth', ['name' => 'Heather tweed', 'cuts' => [['length' => '2']]]);
        self::assertResponseStatusCodeSame($status);
        self::assertStringContainsString($says, self::says($page));
        self::assertStringContainsString('Heather tweed', self::says($page), 'and what was typed is handed back');
        $this->get('/season');
    }

    /** @return iterable<string, array{string, int, string}> */
    public static function disks(): iterable
    {
        yield 'full' => ['SQLSTATE[HY000]: General error: 13 database or disk is full', 507, 'The disk is full'];
        yield 'read-only' => ['SQLSTATE[HY000]: General error: 8 attempt to write a readonly database', 503, 'nothing can be saved'];
    }

    /** Somebody else's write, between this request's reading and its writing. */
    private function meanwhile(string $sql): void
    {
        $this->browser->disableReboot();
        $connection = $this->service(Connection::class);
        $this->service(EntityManagerInterface::class)->getEventManager()->addEventListener(
            // once the request has read it, and before its own transaction begins
            Events::postLoad,
            new class($connection, $sql) {
                private bool $done = false;

                public function __construct(private readonly Connection $connection, private readonly string $sql)
                {
                }

                public function postLoad(PostLoadEventArgs $event): void
                {
                    if (!$this->done && $event->getObject() instanceof SeasonRecord) {
                        $this->connection->executeStatement($this->sql);
                        $this->done = true;
                    }
                }
            },
        );
    }
}
