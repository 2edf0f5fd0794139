<?php

declare(strict_types=1);

namespace Octavum\Room\Settings;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountRepository;
use Octavum\Account\DatabaseSessionHandler;
use Octavum\Account\RateLimiter;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Shopping\Counter;
use Octavum\Core\Workroom\DateStyle;
use Octavum\Core\Workroom\Dialect;
use Octavum\Core\Workroom\Settings;
use Octavum\Document\Codec\SettingsCodec;
use Octavum\Files\FileShelf;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\ReturnPath;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Authentication\AuthenticationUtils;

/** Signing in and out, registering, the password, and leaving with all one's data. */
final class AccountController extends AbstractController
{
    private const SHORTEST_PASSWORD = 10;
    private const LONGEST_PASSWORD = 200;
    private const MOST_TRIES = 10;

    public function __construct(
        private readonly AccountRepository $accounts,
        private readonly EntityManagerInterface $entities,
        private readonly UserPasswordHasherInterface $hasher,
        private readonly Security $security,
        private readonly RateLimiter $brake,
        private readonly DatabaseSessionHandler $visits,
        private readonly ChangeLog $changes,
        #[Autowire('%env(bool:OCTAVUM_REGISTERING)%')] private readonly bool $registering,
    ) {
    }

    #[Route('/sign-in', name: 'sign_in', methods: ['GET', 'POST'])]
    public function signIn(Request $request, AuthenticationUtils $authentication): Response
    {
        if (null !== $this->getUser()) {
            return $this->redirectToRoute('season');
        }

        return $this->render('account/sign_in.html.twig', [
            'to' => ReturnPath::path($request, 'to'),
            'email' => $authentication->getLastUsername(),
            'error' => $authentication->getLastAuthenticationError(),
            'demo' => $this->accounts->demo(),
        ]);
    }

    #[Route('/sign-out', name: 'sign_out', methods: ['POST'])]
    public function signOut(): never
    {
        throw new \LogicException('The firewall signs out.');
    }

    #[Route('/demo', name: 'demo', methods: ['POST'])]
    public function demo(): Response
    {
        $this->security->login($this->accounts->demo() ?? throw $this->createNotFoundException(), 'form_login', 'main');

        return $this->redirectToRoute('season');
    }

    #[Route('/register', name: 'register', methods: ['GET', 'POST'])]
    public function register(Request $request, Entry $entry): Response
    {
        if ($request->isMethod('POST')) {
            $account = $this->newAccount($entry);
            if (null !== $account) {
                $this->security->login($account, 'form_login', 'main');

                return $this->redirectToRoute('season');
            }
        }

        return $this->render(
            'account/register.html.twig',
            ['values' => $entry->typed, 'faults' => $entry->faults()],
            new Response(status: $entry->status()),
        );
    }

    #[Route('/settings', name: 'settings', methods: ['GET', 'POST'])]
    public function settings(
        Request $request,
        SettingsPage $page,
        SettingsCodec $codec,
        Entry $entry,
        Settings $settings,
        #[CurrentUser] Account $account,
    ): Response {
        if ($request->isMethod('POST')) {
            $entry = Revision::merge($entry, $account->revision, $page->values($account));
            $name = $entry->name('name');
            $system = $entry->choice('units', System::class) ?? System::Metric;
            $currency = mb_strtoupper($entry->text('currency', 3));
            if (1 !== preg_match('/^[A-Z]{3}$/D', $currency)) {
                $entry->fault('currency', new Sentence('A currency is three letters, such as EUR.'));
            }
            $settings = new Settings(
                $system,
                $entry->choice('counter', Counter::class) ?? Counter::TenCentimetres,
                $currency,
                assumptions: new Assumptions(
                    $entry->length('squaring', $system->widthUnit()),
                    $entry->length('selvage', $system->widthUnit()),
                    $entry->length('fitsLeast', $system->widthUnit()),
                    $entry->choice('matching', Matching::class) ?? Matching::MainSeams,
                    $entry->length('counterLeast', $system->lengthUnit()),
                ),
                dialect: $entry->choice('dialect', Dialect::class) ?? Dialect::British,
                dates: $entry->choice('dates', DateStyle::class) ?? DateStyle::DayFirst,
                bothUnits: $entry->boolean('bothUnits'),
                sewist: $settings->sewist,
            );
            Revision::check($entry, $account->revision, $page->values($account));
            if ($entry->isSound()) {
                $make = static function () use ($account, $name, $codec, $settings): void {
                    $account->name = $name;
                    $account->settings = $codec->write($settings);
                };
                $here = $this->generateUrl('settings');
                $this->changes->commit([$account], $make, new Notice('The settings are saved.', [], $here));

                return $this->redirect($here);
            }
        }

        return $page->show($account, $entry);
    }

    #[Route('/settings/password', name: 'password', methods: ['POST'])]
    public function password(
        Request $request,
        SettingsPage $page,
        Entry $entry,
        Toast $toast,
        #[CurrentUser] Account $account,
    ): Response {
        $this->confirm($entry, $account);
        $password = $this->newPassword($entry);
        if (!$entry->isSound()) {
            return $page->show($account, $entry);
        }
        $account->password = $this->hasher->hashPassword($account, $password);
        $hadFeed = null !== $account->feed;
        $account->feed = null;
        $this->entities->flush();
        $this->visits->endAll($account);
        // this visit goes on under another name
        $request->getSession()->migrate(true);
        $toast->say(
            $hadFeed
                ? 'The password is changed. Other devices are signed out, and the calendar’s private address has ended: make a new one if you use it.'
                : 'The password is changed. Other devices are signed out.',
        );
        $this->security->login($account, 'form_login', 'main');

        return $this->redirectToRoute('settings');
    }

    #[Route('/settings/delete', name: 'account_delete', methods: ['POST'])]
    public function delete(
        SettingsPage $page,
        FileShelf $shelf,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        if ('delete' !== mb_strtolower($entry->raw('confirm'))) {
            $entry->fault('confirm', new Sentence('Type the word delete to say that you mean it. Nothing has been deleted.'));
        }
        if (!$account->demo) {
            $this->confirm($entry, $account);
        }
        if (!$entry->isSound()) {
            return $page->show($account, $entry);
        }
        $this->security->logout(false);
        $this->visits->endAll($account);
        $this->entities->remove($account);
        $this->entities->flush();
        $shelf->clear($account);

        return $this->redirectToRoute('sign_in');
    }

    /** Null with a fault when it cannot be. That an address has an account is said here, so that tries are counted. */
    private function newAccount(Entry $entry): ?Account
    {
        if (!$this->registering) {
            $entry->fault('email', new Sentence('Nobody can register here: ask whoever looks after this machine for an account.'));
        } elseif (!$this->brake->try('register', self::MOST_TRIES)) {
            $entry->fault('email', new Sentence('Too many attempts: wait a quarter of an hour, then try again.'));
        }
        $account = new Account(mb_strtolower($entry->text('email', 180)), $entry->name('name'));
        if (false === filter_var($account->email, \FILTER_VALIDATE_EMAIL)) {
            $entry->fault('email', new Sentence('This is not an e-mail address: type one such as name@example.org.'));
        }
        $password = $this->newPassword($entry);
        if (!$entry->isSound()) {
            return null;
        }
        $account->password = $this->hasher->hashPassword($account, $password);
        try {
            $this->entities->persist($account);
            $this->entities->flush();
        } catch (UniqueConstraintViolationException) {
            $entry->fault('email', new Sentence('There is an account with this e-mail address: sign in instead.'));

            return null;
        }

        return $account;
    }

    private function confirm(Entry $entry, Account $account): void
    {
        $typed = $entry->typed['currentPassword'] ?? '';
        $tries = 'password of '.$account->id;
        if (!$this->brake->try($tries, self::MOST_TRIES)) {
            $entry->fault(
                'currentPassword',
                new Sentence('Too many attempts: wait a quarter of an hour, then try again. Nothing has been changed.'),
            );
        } elseif (!\is_string($typed) || !$this->hasher->isPasswordValid($account, mb_substr($typed, 0, self::LONGEST_PASSWORD))) {
            $entry->fault('currentPassword', new Sentence('This is not the password of this account. Nothing has been changed.'));
        } else {
            $this->brake->release($tries);
        }
    }

    private function newPassword(Entry $entry): string
    {
        $password = $entry->typed['password'] ?? '';
        if (!\is_string($password) || mb_strlen($password) < self::SHORTEST_PASSWORD || mb_strlen($password) > self::LONGEST_PASSWORD) {
            $entry->fault(
                'password',
                new Sentence('A password has {least} to {most} characters; a few words in a row are easy to keep in mind.', [
                    'least' => self::SHORTEST_PASSWORD,
                    'most' => self::LONGEST_PASSWORD,
                ]),
            );

            return '';
        }

        return $password;
    }
}
