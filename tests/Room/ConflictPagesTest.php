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
        yield 'a person' => ['/people/PERSON', 'Save', ['name' => 'Ottoline', 'notes' => 'a'], ['name' => 'Otti', 'notes' => 'b']];
        yield 'settings' => ['/settings', 'Save the settings', ['currency' => 'GBP'], ['currency' => 'SEK']];
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
