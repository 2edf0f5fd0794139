<?php

declare(strict_types=1);

namespace Octavum\Account;

use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Workroom\Settings;
use Octavum\Document\Codec\SettingsCodec;
use Octavum\Document\Json\BrokenRow;
use Octavum\Document\Json\Node;
use Symfony\Bundle\SecurityBundle\Security;

/** The settings of an account, and of whoever is looking at the page. */
final readonly class AccountSettings
{
    public function __construct(private SettingsCodec $codec, private Security $security)
    {
    }

    /** The usual ones where what is stored cannot be read. */
    public function load(Account $account): Settings
    {
        return $this->read($account) ?? new Settings();
    }

    public function areReadable(Account $account): bool
    {
        return null !== $this->read($account);
    }

    private function read(Account $account): ?Settings
    {
        try {
            return $this->codec->read(Node::stored($account->settings, 'account '.$account->id));
        } catch (BrokenRow) {
            return null;
        }
    }

    public function current(): Settings
    {
        $account = $this->security->getUser();

        return $account instanceof Account ? $this->load($account) : new Settings();
    }

    /** A day as it stands in a field. */
    public function day(?\DateTimeImmutable $day): string
    {
        return null === $day ? '' : $this->current()->dates->write($day);
    }

    public function tape(): LengthFormatter
    {
        $settings = $this->current();

        return new LengthFormatter($settings->system, $settings->bothUnits);
    }
}
