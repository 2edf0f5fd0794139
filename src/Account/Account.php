<?php

declare(strict_types=1);

namespace Octavum\Account;

use Doctrine\ORM\Mapping as ORM;
use Octavum\Database\Identified;
use Octavum\Database\LenientJson;
use Octavum\Database\Revised;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Uid\Ulid;

/** One sewist, and through their id the one workroom they own. */
#[ORM\Entity(repositoryClass: AccountRepository::class)]
class Account implements UserInterface, PasswordAuthenticatedUserInterface
{
    use Identified;
    use Revised;

    #[ORM\Column(length: 180, unique: true)]
    public string $email;

    #[ORM\Column]
    public string $password = '';

    #[ORM\Column(length: 120)]
    public string $name;

    /** Opened from the sign-in page by one button, without a password. */
    #[ORM\Column]
    public bool $demo = false;

    /** @var array<string, mixed> as in the exchange format */
    #[ORM\Column(type: LenientJson::NAME)]
    public array $settings = [];

    /** @var array<string, string> name → query of the stash's list */
    #[ORM\Column(type: LenientJson::NAME, options: ['default' => '[]'])]
    public array $filters = [];

    /** The secret in the address under which a calendar looks at the plan; null while nobody may. */
    #[ORM\Column(length: 40, nullable: true, unique: true)]
    public ?string $feed = null;

    /** Of how many of its rows something stored cannot be read. */
    #[ORM\Column(options: ['default' => 0])]
    public int $unreadable = 0;

    /** The season last looked at. */
    #[ORM\Column(length: 26, nullable: true)]
    public ?string $season = null;

    /** Another one after each change that its pages may show; drawn by chance. */
    #[ORM\Column(length: 16, options: ['default' => ''])]
    public string $pageState = '';

    /** The first steps are not shown any more. */
    #[ORM\Column(options: ['default' => false])]
    public bool $firstStepsClosed = false;

    public function __construct(string $email, string $name)
    {
        $this->id = (string) new Ulid();
        $this->email = $email;
        $this->name = $name;
    }

    public function getUserIdentifier(): string
    {
        return '' === $this->email ? throw new \LogicException('An account has an e-mail address.') : $this->email;
    }

    /** @return list<string> */
    public function getRoles(): array
    {
        return ['ROLE_USER'];
    }

    public function getPassword(): string
    {
        return $this->password;
    }

    #[\Deprecated]
    public function eraseCredentials(): void
    {
    }
}
