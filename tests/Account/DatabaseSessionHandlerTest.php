<?php

declare(strict_types=1);

namespace Octavum\Tests\Account;

use Doctrine\DBAL\Connection;
use Octavum\Account\Account;
use Octavum\Account\DatabaseSessionHandler;
use Octavum\Account\RateLimiter;
use Octavum\Account\StaySignedIn;
use Octavum\Tests\PageTestCase;
use Psr\Log\NullLogger;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpFoundation\Session\Session;
use Symfony\Component\HttpFoundation\Session\Storage\MockArraySessionStorage;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorage;
use Symfony\Component\Security\Core\Authentication\Token\UsernamePasswordToken;
use Symfony\Component\Security\Http\Authenticator\AuthenticatorInterface;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\SelfValidatingPassport;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;
use Symfony\Component\Security\Http\Event\LogoutEvent;
use Symfony\Component\Security\Http\RememberMe\RememberMeDetails;

final class DatabaseSessionHandlerTest extends PageTestCase
{
    private MockClock $clock;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clock = new MockClock('2027-03-01 09:00');
    }

    public function testAVisitIsKeptByADigestOfItsCookie(): void
    {
        self::assertSame('', $this->visits()->read('cookie'));
        $this->begin('cookie', "signed in\0\xff");
        self::assertSame("signed in\0\xff", $this->visits()->read('cookie'));
        self::assertSame([hash('sha256', 'cookie')], $this->service(Connection::class)->fetchFirstColumn('SELECT id FROM visit'));
    }

    public function testAVisitEndsTwoDaysAfterItsLastUseAndAMonthAfterItBegan(): void
    {
        $account = $this->demo();
        $this->begin('cookie', 'mine', $account);
        for ($day = 0; $day < 29; ++$day) {
            $this->clock->modify('+1 day');
            $this->use('cookie', $account);
        }
        self::assertSame('mine', $this->visits()->read('cookie'));
        $this->clock->modify('+1 day +1 minute');
        self::assertSame('', $this->visits()->read('cookie'), 'a month after it began');
        $this->begin('other', 'mine', $account);
        $this->clock->modify('+48 hours');
        self::assertSame('mine', $this->visits()->read('other'));
        $this->clock->modify('+1 second');
        self::assertSame('', $this->visits()->read('other'), 'two days unused');
        self::assertSame(2, $this->visits()->gc(0));
    }

    public function testAVisitOfNobodyEndsAfterAnHour(): void
    {
        $this->begin('cookie', 'a wrong password');
        $this->clock->modify('+3601 seconds');
        self::assertSame('', $this->visits()->read('cookie'));
    }

    public function testARequestThatEndsAfterSigningOutDoesNotBringTheVisitBack(): void
    {
        $this->begin('cookie', 'mine', $this->demo());
        $slow = $this->visits($this->demo());
        $slow->read('cookie');
        $this->visits()->destroy('cookie');
        $slow->write('cookie', 'still mine');
        self::assertSame('', $this->visits()->read('cookie'));
    }

    public function testAClockThatIsSetBackKeepsNoVisitAlive(): void
    {
        $this->begin('cookie', 'mine', $this->demo());
        $this->clock->modify('-4 minutes');
        self::assertSame('mine', $this->visits()->read('cookie'), 'two clocks may differ a little');
        $this->clock->modify('-1 year');
        self::assertSame('', $this->visits()->read('cookie'));
        self::assertSame(1, $this->visits()->gc(0));
    }

    public function testSigningOutEndsTheVisitsThatBeganWithACopyOfTheCookie(): void
    {
        $account = $this->demo();
        $raw = (new RememberMeDetails($account->email, 2_000_000_000, 'series:secret'))->toString();
        $request = new Request(cookies: ['REMEMBERME' => $raw]);
        $session = new Session(new MockArraySessionStorage());
        $request->setSession($session);
        $token = new UsernamePasswordToken($account, 'main', ['ROLE_USER']);
        $passport = new SelfValidatingPassport(new UserBadge($account->email));
        $authenticator = self::createStub(AuthenticatorInterface::class);
        $stay = $this->service(StaySignedIn::class);
        $stay->onLogin(new LoginSuccessEvent($authenticator, $passport, $token, $request, null, 'main'));
        $this->begin('copy', serialize($session->all()), $account);
        $this->begin('other device', 'mine', $account);
        $stay->onLogout(new LogoutEvent($request, $token));
        self::assertSame(['', 'mine'], [$this->visits()->read('copy'), $this->visits()->read('other device')]);
        $stay->onLogout(new LogoutEvent(new Request(cookies: ['REMEMBERME' => 'nonsense']), $token));
        self::assertSame('mine', $this->visits()->read('other device'));
    }

    public function testEveryVisitAndEveryDeviceOfAnAccountIsEndedAtOnce(): void
    {
        $account = $this->demo();
        $this->begin('desk', 'mine', $account);
        $this->begin('phone', 'mine', $account);
        $this->visits()->endAll($account);
        self::assertSame(['', ''], [$this->visits()->read('desk'), $this->visits()->read('phone')]);
    }

    public function testTriesAreCountedBeforeTheyAreLookedAt(): void
    {
        $brake = new RateLimiter($this->service(Connection::class), new RequestStack(), $this->clock);
        $let = static fn (int $tries): array => array_map(static fn (): bool => $brake->try('guess', 5), range(1, $tries));
        self::assertSame([true, true, true, true, true, false, false], $let(7), 'none is released before the next comes');
        $this->clock->modify('+14 minutes');
        self::assertSame([false], $let(1));
        $this->clock->modify('+1 minute');
        self::assertSame([true], $let(1), 'a quarter of an hour after the last that was let through');
        $brake->release('guess');
        self::assertSame([true, true, true, true, true, false], $let(6));
    }

    private function begin(string $cookie, string $data, ?Account $account = null): void
    {
        $visits = $this->visits($account);
        $visits->read($cookie);
        $visits->write($cookie, $data);
    }

    private function use(string $cookie, Account $account): void
    {
        $visits = $this->visits($account);
        $visits->updateTimestamp($cookie, (string) $visits->read($cookie));
    }

    private function visits(?Account $account = null): DatabaseSessionHandler
    {
        $tokens = new TokenStorage();
        $tokens->setToken(null === $account ? null : new UsernamePasswordToken($account, 'main'));
        $visits = new DatabaseSessionHandler($this->service(Connection::class), $tokens, $this->clock, new NullLogger());
        $visits->open('', 'octavum');

        return $visits;
    }
}
