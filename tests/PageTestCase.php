<?php

declare(strict_types=1);

namespace Octavum\Tests;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountRepository;
use Octavum\Core\Project\Project;
use Octavum\Core\Workroom\Workroom;
use Octavum\Store\Workroom\Workrooms;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\DomCrawler\Crawler;

/** Pages asked for over the real kernel and a real SQLite database, rolled back after each test. */
abstract class PageTestCase extends WebTestCase
{
    protected KernelBrowser $browser;
    /** @var class-string the class of tests that share what they have laid */
    private static string $laying = self::class;

    protected function setUp(): void
    {
        $this->browser = self::createClient();
        // that of libxml takes a tenth of the time
        $this->browser->useHtml5Parser(false);
        if (self::$laying !== static::class) {
            self::$laying = static::class;
            $this->forgetLays();
        }
    }

    protected function forgetLays(): void
    {
        $lays = self::getContainer()->get('cache.lays');
        self::assertInstanceOf(CacheItemPoolInterface::class, $lays);
        $lays->clear();
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    protected function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }

    /** The folder of this process of tests. */
    public static function data(): string
    {
        return \is_string($_SERVER['OCTAVUM_DATA']) ? $_SERVER['OCTAVUM_DATA'] : self::fail('The data has a folder.');
    }

    protected function demo(): Account
    {
        return $this->service(AccountRepository::class)->demo() ?? self::fail('The demo workroom is not loaded.');
    }

    protected function signInToDemo(): Account
    {
        $account = $this->demo();
        $this->browser->loginUser($account);

        return $account;
    }

    /** A new account with an empty workroom. */
    protected function account(string $email = 'maud@example.org', string $password = 'four quiet lockers'): Account
    {
        $account = new Account($email, 'Maud');
        $account->password = password_hash($password, \PASSWORD_BCRYPT, ['cost' => 4]);
        $entities = $this->service(EntityManagerInterface::class);
        $entities->persist($account);
        $entities->flush();

        return $account;
    }

    /**
     * The account as the database has it now.
     *
     * @phpstan-impure
     */
    protected function fresh(Account $account): Account
    {
        $this->service(EntityManagerInterface::class)->clear();

        return $this->service(AccountRepository::class)->find($account->id) ?? self::fail('The account is gone.');
    }

    /** @phpstan-impure */
    protected function workroom(Account $account): Workroom
    {
        return $this->service(Workrooms::class)->load($this->fresh($account));
    }

    /** One of an account's, or of the demo's, as it is now. */
    protected function project(string $name, ?Account $account = null): Project
    {
        foreach ($this->workroom($account ?? $this->demo())->projects as $project) {
            if ($project->name === $name) {
                return $project;
            }
        }
        self::fail('There is no project '.$name);
    }

    protected function get(string $path): Crawler
    {
        $page = $this->browser->request('GET', $path);
        self::assertResponseIsSuccessful($path);

        return $page;
    }

    /** What the season page fetches once it stands: workings, and the snags past the first. */
    protected function fetched(?Crawler $season = null): Crawler
    {
        return $this->get((string) ($season ?? $this->get('/season'))->filter('[data-workings-url]')->attr('data-workings-url'));
    }

    /**
     * The form that holds a button, filled in and sent.
     *
     * @param array<string, mixed> $fields
     */
    protected function send(string $button, array $fields): Crawler
    {
        $form = $this->browser->getCrawler()->selectButton($button)->form();
        $values = array_replace_recursive($form->getPhpValues(), $fields);

        return $this->browser->request($form->getMethod(), $form->getUri(), $values, $form->getPhpFiles());
    }

    /**
     * Sends fields to an address with the token of the page last seen.
     *
     * @param array<string, mixed> $fields
     */
    protected function post(string $path, array $fields = []): Crawler
    {
        return $this->browser->request(
            'POST',
            $path,
            $fields + ['_token' => $fields['_token'] ?? (string) $this->browser->getCrawler()->filter('meta[name=csrf]')->attr('content')],
        );
    }

    /** The address that undoes the change that was made last, as its toast offers it. */
    protected function offeredUndo(): string
    {
        if ($this->browser->getResponse()->isRedirection()) {
            $this->browser->followRedirect();
        }

        return $this->browser->getCrawler()->filter('.toast form')->attr('action') ?? self::fail('No toast offers to undo.');
    }

    /** What a part of a page says, with a space between any two of its pieces. */
    protected static function says(Crawler $page, string $selector = 'body'): string
    {
        $html = preg_replace('~<(script|svg)\b.*?</\1>~s', '', $page->filter($selector)->html()) ?? '';

        return trim(preg_replace('/\s+/u', ' ', html_entity_decode(strip_tags(str_replace('<', ' <', $html)))) ?? '');
    }

    /** @param array<string, mixed> $input */
    protected function command(string $name, array $input): CommandTester
    {
        $kernel = self::$kernel ?? self::fail('No kernel.');
        $tester = new CommandTester((new Application($kernel))->find($name));
        $tester->execute($input, ['capture_stderr_separately' => true]);

        return $tester;
    }
}
