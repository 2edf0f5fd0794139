<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Settings;

use Octavum\Account\Account;
use Octavum\Account\AccountRepository;
use Octavum\Account\RateLimiter;
use Octavum\Account\SignInThrottle;
use Octavum\Page\PlainTextListener;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactory;
use Symfony\Component\PasswordHasher\PasswordHasherInterface;
use Symfony\Component\Security\Core\Exception\BadCredentialsException;
use Symfony\Component\Security\Http\Authenticator\AuthenticatorInterface;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Credentials\PasswordCredentials;
use Symfony\Component\Security\Http\Authenticator\Passport\Passport;
use Symfony\Component\Security\Http\Event\CheckPassportEvent;

final class AccountPagesTest extends PageTestCase
{
    public function testNothingIsShownToWhoIsNotSignedIn(): void
    {
        foreach (
            [
                '/season',
                '/cloth',
                '/patterns',
                '/shopping',
                '/settings',
                '/settings/export',
                '/find?q=a',
                '/read/length?text=1',
                '/project/new',
            ] as $path
        ) {
            $this->browser->request('GET', $path);
            self::assertResponseRedirects(
                '/season' === $path ? '/sign-in' : '/sign-in?to='.str_replace(['%2F', '%3F'], ['/', '?'], rawurlencode($path)),
                null,
                $path,
            );
            self::assertNull($this->browser->getCookieJar()->get('MOCKSESSID'), 'no visit is begun for that');
        }
        $this->account();
        $this->get('/sign-in?to=/settings/export');
        $this->send('Sign in', ['email' => 'maud@example.org', 'password' => 'four quiet lockers']);
        self::assertResponseRedirects('http://localhost/settings/export', null, 'the way back is in the address');
    }

    public function testRegisteringOpensAnEmptyWorkroomThatTeaches(): void
    {
        $this->get('/register');
        $this->send('Register', ['name' => 'Maud', 'email' => 'Maud@Example.org', 'password' => 'four quiet lockers']);
        self::assertResponseRedirects('/season');
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Your first season', self::says($page));
        foreach (
            [
                '/cloth' => 'The lockers are empty',
                '/patterns' => 'The library is empty',
                '/shopping' => 'Your first season',
                '/project/new' => null,
            ] as $path => $teaches
        ) {
            $page = $this->browser->request('GET', $path);
            null === $teaches
                ? self::assertResponseRedirects('/season/new')
                : self::assertStringContainsString($teaches, self::says($page));
        }
    }

    public function testRegisteringSaysWhatIsWrongAndKeepsTheRest(): void
    {
        $this->account();
        $this->get('/register');
        $page = $this->send('Register', ['name' => 'Maud <script>', 'email' => 'maud@example.org', 'password' => 'short']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('A password has 10 to 200 characters', self::says($page));
        self::assertSame('Maud <script>', $page->filter('#f-name')->attr('value'));
        self::assertSame('', $page->filter('#f-password')->attr('value'));
        $page = $this->send('Register', ['name' => 'Maud', 'email' => 'maud@example.org', 'password' => 'four quiet lockers']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('There is an account with this e-mail address', self::says($page));
    }

    public function testTriesAtRegisteringAndAtThePasswordInSettingsAreCounted(): void
    {
        $account = $this->account();
        for ($i = 0; $i < 11; ++$i) {
            $this->get('/register');
            $page = $this->send('Register', ['name' => 'Maud', 'email' => 'maud@example.org', 'password' => 'four quiet lockers']);
            self::assertStringContainsString($i < 10 ? 'There is an account' : 'Too many attempts', self::says($page), (string) $i);
        }
        $this->browser->loginUser($account);
        for ($i = 0; $i < 11; ++$i) {
            $this->get('/settings');
            $page = $this->send('Change the password', ['currentPassword' => 'guess '.$i, 'password' => 'seven loud lockers']);
            self::assertStringContainsString($i < 10 ? 'This is not the password' : 'Too many attempts', self::says($page), (string) $i);
        }
    }

    public function testAnAddressWithoutAnAccountCostsAsMuchWorkAsAWrongPassword(): void
    {
        $hasher = new class implements PasswordHasherInterface {
            public int $hashed = 0;

            public function hash(#[\SensitiveParameter] string $plainPassword): string
            {
                ++$this->hashed;

                return '';
            }

            public function verify(string $hashedPassword, #[\SensitiveParameter] string $plainPassword): bool
            {
                return false;
            }

            public function needsRehash(string $hashedPassword): bool
            {
                return false;
            }
        };
        $throttle = new SignInThrottle(
            $this->service(RateLimiter::class),
            $this->service(AccountRepository::class),
            new PasswordHasherFactory([Account::class => $hasher]),
        );
        $passport = new Passport(new UserBadge('nobody@example.org'), new PasswordCredentials('guess'));
        try {
            $throttle->onCheckPassport(new CheckPassportEvent(self::createStub(AuthenticatorInterface::class), $passport));
            self::fail('There is no such account.');
        } catch (BadCredentialsException) {
            self::assertSame(1, $hasher->hashed);
        }
    }

    public function testSigningInAndOut(): void
    {
        $this->account();
        $this->get('/sign-in');
        $this->send('Sign in', ['email' => ' MAUD@example.org ', 'password' => 'four quiet lockers', '_remember_me' => '1']);
        self::assertResponseRedirects();
        $remembered = $this->browser->getCookieJar()->get('REMEMBERME') ?? self::fail('There is a cookie.');
        $this->browser->getCookieJar()->expire('MOCKSESSID');
        $this->get('/settings');
        $this->send('Sign out', []);
        self::assertResponseRedirects();
        $this->browser->request('GET', '/season');
        self::assertResponseRedirects('/sign-in');
        $this->browser->getCookieJar()->set($remembered);
        $this->browser->request('GET', '/season');
        self::assertResponseRedirects('/sign-in', null, 'a copy made before signing out opens nothing');
    }

    public function testGuessingIsSlowedDownEvenForTheRightPassword(): void
    {
        $this->account();
        for ($i = 0; $i < 5; ++$i) {
            $this->get('/sign-in');
            $this->send('Sign in', ['email' => 'maud@example.org', 'password' => 'guess '.$i]);
            self::assertStringContainsString('do not belong together', self::says($this->browser->followRedirect()));
        }
        $this->send('Sign in', ['email' => 'maud@example.org', 'password' => 'four quiet lockers']);
        self::assertStringContainsString('Too many attempts', self::says($this->browser->followRedirect()));
    }

    public function testTheDemoOpensWithOneButton(): void
    {
        $this->get('/sign-in');
        $this->send('Open the demo workroom', []);
        self::assertResponseRedirects('/season');
        self::assertStringContainsString('Towpath coat', self::says($this->browser->followRedirect()));
    }

    public function testThePasswordIsChangedOnlyByWhoKnowsIt(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/settings');
        $page = $this->send('Change the password', ['currentPassword' => 'wrong', 'password' => 'seven loud lockers']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('This is not the password of this account', self::says($page));
        $this->send('Change the password', ['currentPassword' => 'four quiet lockers', 'password' => 'seven loud lockers']);
        self::assertResponseRedirects('/settings');
    }

    public function testAnAccountIsDeletedWithAllItsData(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/people');
        $this->send('Add', ['name' => 'Suvi']);
        $this->get('/cloth/new');
        $this->send('Save the cloth', ['name' => 'Moss linen', 'cuts' => [['length' => '2']]]);
        $this->get('/settings');
        self::assertStringContainsString(
            'Type the word delete',
            self::says($this->send('Delete the account and all its data', ['confirm' => 'yes', 'currentPassword' => 'four quiet lockers'])),
        );
        $this->send('Delete the account and all its data', ['confirm' => 'delete', 'currentPassword' => 'four quiet lockers']);
        self::assertResponseRedirects('/sign-in');
        self::assertNull($this->service(AccountRepository::class)->byEmail('maud@example.org'));
        $connection = $this->service(\Doctrine\DBAL\Connection::class);
        foreach (['cloth', 'person'] as $table) {
            self::assertSame(0, $connection->fetchOne('SELECT COUNT(*) FROM '.$table.' WHERE account_id = ?', [$account->id]), $table);
        }
        self::assertSame(0, $connection->fetchOne('SELECT COUNT(*) FROM cut WHERE cloth_id NOT IN (SELECT id FROM cloth)'));
    }

    public function testNobodySeesOrChangesAnothersWorkroom(): void
    {
        $demo = $this->workroom($this->demo());
        $this->browser->loginUser($this->account());
        $this->get('/settings');
        $cloth = $demo->cloths[0];
        $pattern = $demo->patterns[0];
        $project = $demo->projects[0];
        $season = $demo->seasons[0];
        foreach (
            [
                '/cloth/'.$cloth->id,
                '/cloth/'.$cloth->id.'/edit',
                '/cut/'.$cloth->cuts[0]->id,
                '/patterns/'.$pattern->id,
                '/patterns/'.$pattern->id.'/edit',
                '/patterns/'.$pattern->id.'/versions/new',
                '/versions/'.$pattern->versions[0]->id,
                '/project/'.$project->id,
                '/season/'.$season->id,
                '/season/'.$season->id.'/edit',
                '/season/'.$season->id.'/workings',
            ] as $path
        ) {
            $this->browser->request('GET', $path);
            self::assertResponseStatusCodeSame(404, $path);
            self::assertStringNotContainsString($cloth->name, (string) $this->browser->getResponse()->getContent());
        }
        foreach (
            [
                '/cloth/'.$cloth->id.'/remove',
                '/cloth/'.$cloth->id.'/cuts',
                '/cut/'.$cloth->cuts[0]->id.'/ledger',
                '/cut/'.$cloth->cuts[0]->id.'/undo',
                '/cut/'.$cloth->cuts[0]->id.'/remove',
                '/patterns/'.$pattern->id.'/remove',
                '/versions/'.$pattern->versions[0]->id.'/remove',
                '/project/'.$project->id.'/remove',
                '/season/'.$season->id.'/rank',
            ] as $path
        ) {
            $this->get('/settings');
            $this->post($path, ['kind' => 'measured', 'length' => '1', 'order' => $project->id]);
            self::assertResponseStatusCodeSame(404, $path);
        }
        self::assertStringContainsString('Nothing here is called that', self::says($this->get('/find?q=Towpath')));
        self::assertEquals($demo, $this->workroom($this->demo()), 'the demo is as it was');
    }

    #[DataProvider('changes')]
    public function testAChangeWithoutItsTokenIsRefusedAndWhatWasTypedIsHandedBack(string $path): void
    {
        $this->signInToDemo();
        foreach ([[], ['_token' => 'made up']] as $token) {
            $page = $this->browser->request(
                'POST',
                $path,
                $token + ['name' => 'Typed with care', 'password' => 'secret words', 'cuts' => [['length' => '2.5 m']]],
            );
            self::assertResponseStatusCodeSame(403);
            self::assertStringContainsString('This was not saved', self::says($page));
            self::assertStringContainsString('Typed with care', self::says($page));
            self::assertStringContainsString('2.5 m', self::says($page));
            self::assertStringNotContainsString('secret words', (string) $this->browser->getResponse()->getContent());
        }
    }

    public function testJsonWithoutItsTokenIsRefusedAsWell(): void
    {
        $this->signInToDemo();
        $this->browser->request(
            'POST',
            '/table/mat',
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'CONTENT_LENGTH' => '16'],
            '{"setup":{"a":1}}',
        );
        self::assertResponseStatusCodeSame(403);
    }

    public function testAddressesAndHostsThatCannotBeAreRefused(): void
    {
        $this->browser->request('GET', '/find?q='.str_repeat('a', 9_000));
        self::assertResponseStatusCodeSame(414);
        $request = Request::create('/sign-in');
        $request->headers->set('Host', 'a b');
        $this->expectException(BadRequestHttpException::class);
        (new PlainTextListener())->onRequest(
            new RequestEvent(self::createStub(HttpKernelInterface::class), $request, HttpKernelInterface::MAIN_REQUEST),
        );
    }

    /** @return iterable<string, array{string}> */
    public static function changes(): iterable
    {
        foreach (
            [
                '/cloth/new',
                '/patterns/new',
                '/season/new',
                '/project/new',
                '/settings',
                '/settings/import',
                '/settings/delete',
                '/demo',
                '/sign-in',
                '/register',
                '/sign-out',
            ] as $path
        ) {
            yield $path => [$path];
        }
    }

    public function testPagesAreSentWithStrictHeaders(): void
    {
        foreach (['/sign-in', '/nowhere'] as $path) {
            $this->browser->request('GET', $path);
            $policy = (string) $this->browser->getResponse()->headers->get('Content-Security-Policy');
            self::assertStringContainsString("default-src 'none'; script-src 'self' 'nonce-", $policy, $path);
            self::assertStringNotContainsString('unsafe', $policy);
            self::assertSame('nosniff', $this->browser->getResponse()->headers->get('X-Content-Type-Options'));
        }
        $page = $this->get('/sign-in');
        self::assertCount(0, $page->filter('[style], [onclick]'));
        foreach ($page->filter('script:not([src])')->each(static fn ($script): string => (string) $script->attr('nonce')) as $nonce) {
            self::assertStringContainsString(
                'nonce-'.$nonce."'",
                (string) $this->browser->getResponse()->headers->get('Content-Security-Policy'),
            );
        }
    }

    public function testSettingsChangeTheUnitsOfEveryPageAndKeepWhatCannotBeRead(): void
    {
        $this->signInToDemo();
        $this->get('/settings');
        $page = $this->send('Save the settings', ['units' => 'imperial', 'currency' => 'euro', 'squaring' => '-3 cm']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('below zero', self::says($page));
        self::assertSame('-3 cm', $page->filter('#f-squaring')->attr('value'));
        $this->send('Save the settings', ['units' => 'imperial', 'currency' => 'GBP', 'squaring' => '3 cm']);
        self::assertResponseRedirects('/settings');
        $page = $this->get('/season');
        self::assertStringContainsString('10¼ in missing', self::says($page));
        self::assertStringNotContainsString(' cm missing', self::says($page));
        self::assertStringContainsString('2¾ yd', self::says($this->get('/shopping')));
    }

    public function testAnUnknownPageSaysSoInASentence(): void
    {
        $this->signInToDemo();
        $page = $this->browser->request('GET', '/cloth/nonsense/edit/again');
        self::assertResponseStatusCodeSame(404);
        self::assertStringContainsString('There is nothing here', self::says($page));
    }

    public function testWordsUnitsAndDaysFollowTheSettings(): void
    {
        $account = $this->signInToDemo();
        $before = $this->workroom($account);
        $garments = fn (): string => self::says($this->get('/patterns'), '#garment');
        self::assertStringContainsString('trousers (2)', $garments());
        self::assertStringContainsString('1 March to 30 May 2027', str_replace('  ', ' ', self::says($this->get('/season'))));
        $this->get('/settings');
        $this->send('Save the settings', ['dialect' => 'American', 'dates' => 'month first', 'bothUnits' => '1']);
        self::assertStringContainsString('pants (2)', $garments());
        self::assertStringContainsString('March 1 to May 30, 2027', self::says($this->get('/season')));
        self::assertStringContainsString('26 cm (10¼ in)', self::says($this->get('/season')));
        self::assertSelectorExists('html[lang=en-US]');
        self::assertStringContainsString('sleepwear', self::says($this->get('/patterns/new')));
        $after = $this->workroom($account);
        self::assertEquals([$before->cloths, $before->projects], [$after->cloths, $after->projects], 'nothing that was entered changes');
    }
}
