<?php

declare(strict_types=1);

namespace Octavum\Season;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Cloth\Stash;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\FibreReader;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Tape;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Pattern\Role;
use Octavum\Core\Season\Certainty;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Person;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\ProjectState;
use Octavum\Core\Season\Season;
use Octavum\Core\Season\Wish;
use Octavum\Input\Entry;
use Octavum\Pattern\Library;
use Octavum\Pattern\PatternForm;

/** The project form: what its fields show, and what was typed into them. */
final readonly class ProjectForm
{
    public function __construct(private Stash $stash, private Library $library, private AccountSettings $settings)
    {
    }

    /**
     * The names that can be chosen for a cut and for a version.
     *
     * @return array{cuts: list<string>, versions: list<string>}
     */
    public function choices(Account $account): array
    {
        return ['cuts' => array_map(strval(...), array_keys($this->stash->named($account))), 'versions' => array_map(strval(...), array_keys($this->library->named($account)))];
    }

    /** @return array<string, mixed> by field, as typed */
    public function values(Project $project, Account $account): array
    {
        $tape = new Tape($this->settings->of($account)->system);
        $typed = static fn (?Length $length): string => null === $length ? '' : $tape->typed($length);
        $cuts = $this->stash->named($account);
        $version = $cutName = '';
        foreach ($this->library->named($account) as $name => [, $known]) {
            $version = $known->id === $project->version?->id ? $name : $version;
        }
        $claims = [];
        foreach ($project->claims as $claim) {
            $cutName = '';
            foreach ($cuts as $name => [, $known]) {
                $cutName = $known->id === $claim->cut?->id ? $name : $cutName;
            }
            $fibres = [];
            foreach ($claim->wish->fibres->shares ?? [] as $fibre => $share) {
                $fibres[] = $share.' '.$fibre;
            }
            $claims[] = [
                'role' => $claim->role->value,
                'from' => match (true) {
                    null !== $claim->wish => 'buy',
                    null !== $claim->cut => 'own',
                    default => '',
                },
                'cut' => $cutName,
                'buy' => $claim->wish->name ?? '',
                'fibres' => implode(', ', $fibres),
                'structure' => $claim->wish->structure->value ?? Structure::Woven->value,
                'oneWay' => true === $claim->wish?->oneWay ? '1' : '',
                'repeat' => $typed($claim->wish?->repeat),
                'price' => null === $claim->wish?->pricePerMetre ? '' : \sprintf('%.2f', $claim->wish->pricePerMetre / 100),
                'stated' => $typed($claim->stated),
                'cutOut' => $claim->cutOut ? '1' : '',
            ];
        }

        return [
            'name' => $project->name,
            'version' => $version,
            'size' => $project->size ?? '',
            'gradedTo' => $project->gradedTo ?? '',
            'person' => $project->person->id ?? '',
            'season' => $project->season->id,
            'rank' => $project->rank > 0 ? (string) $project->rank : '',
            'certainty' => $project->certainty->value,
            'state' => $project->state->value,
            'deadline' => $project->deadline?->format('Y-m-d') ?? '',
            'hours' => null === $project->minutes ? '' : (string) round($project->minutes / 60, 2),
            'alterations' => array_map(static fn (Alteration $alteration): array => ['name' => $alteration->name, 'length' => $typed($alteration->length)], $project->alterations),
            'claims' => $claims,
            'notes' => $project->notes,
        ];
    }

    /**
     * @param array<string, Season> $seasons by id
     * @param array<string, Person> $people  by id
     */
    public function read(Entry $entry, string $id, int $rank, Season $season, array $seasons, array $people, Account $account): Project
    {
        $pattern = $version = null;
        $typed = $entry->raw('version');
        if ('' !== $typed) {
            [$pattern, $version] = $this->library->named($account)[$typed] ?? [null, null];
            if (null === $version) {
                $entry->fault('version', new Sentence('There is no version called “{text}” in the library: choose one from the list, or add the pattern first.', ['text' => mb_substr($typed, 0, 60)]));
            }
        }
        $size = $this->size($entry, 'size');
        $gradedTo = $this->size($entry, 'gradedTo');
        foreach (['size' => $size, 'gradedTo' => $gradedTo] as $field => $chosen) {
            if (null !== $chosen && null !== $version && [] !== $version->table->sizes && !$version->table->hasSize($chosen)) {
                $entry->fault($field, new Sentence('Size {size} is not in the table of version {version}: it has {sizes}.', ['size' => $chosen, 'version' => $version->name, 'sizes' => implode(', ', $version->table->sizes)]));
            }
        }

        return new Project(
            $id,
            '' === $entry->raw('name') && null !== $pattern ? $pattern->title : $entry->name('name'),
            $seasons[$entry->raw('season')] ?? $season,
            $entry->integer('rank', 1, 1000) ?? $rank,
            $people[$entry->raw('person')] ?? null,
            $pattern,
            $version,
            $size,
            $gradedTo === $size ? null : $gradedTo,
            $entry->choice('certainty', Certainty::class) ?? Certainty::Likely,
            $entry->choice('state', ProjectState::class) ?? ProjectState::Planned,
            $entry->date('deadline'),
            $entry->minutes('hours', PatternForm::MOST_HOURS),
            $this->alterations($entry, $account),
            $this->claims($entry, $id, $account),
            $entry->text('notes'),
        );
    }

    private function size(Entry $entry, string $field): ?string
    {
        $size = $entry->text($field, 20);

        return '' === $size ? null : $size;
    }

    /** @return list<Alteration> */
    private function alterations(Entry $entry, Account $account): array
    {
        $alterations = [];
        foreach ($entry->rows('alterations') as $i) {
            $name = $entry->text('alterations.'.$i.'.name', 120);
            $length = $entry->length('alterations.'.$i.'.length', $this->settings->of($account)->system->widthUnit());
            if (null !== $length) {
                $alterations[] = new Alteration('' === $name ? 'Alteration' : $name, $length);
            } elseif ('' !== $name && '' === $entry->raw('alterations.'.$i.'.length')) {
                $entry->fault('alterations.'.$i.'.length', new Sentence('How much longer does this make the lay? Type a length such as 5 cm, or empty the line.'));
            }
        }

        return $alterations;
    }

    /** @return list<Claim> */
    private function claims(Entry $entry, string $project, Account $account): array
    {
        $system = $this->settings->of($account)->system;
        $cuts = $this->stash->named($account);
        $claims = [];
        foreach ($entry->rows('claims') as $i) {
            $at = 'claims.'.$i.'.';
            $from = $entry->raw($at.'from');
            $typed = $entry->raw($at.'cut');
            $cloth = $cut = $wish = null;
            if ('own' === $from && '' !== $typed) {
                [$cloth, $cut] = $cuts[$typed] ?? [null, null];
                if (null === $cut) {
                    $entry->fault($at.'cut', new Sentence('There is no cut called “{text}” in the stash: choose one from the list, or add the cloth first.', ['text' => mb_substr($typed, 0, 60)]));
                }
            }
            if ('buy' === $from) {
                $wish = new Wish(
                    '' === $entry->raw($at.'buy') ? 'Cloth for '.$entry->raw($at.'role') : $entry->text($at.'buy', 120),
                    $entry->attempt($at.'fibres', static fn (): FibreMix => (new FibreReader())->read($entry->raw($at.'fibres'), Knowledge::Seller)) ?? FibreMix::unknown(),
                    $entry->choice($at.'structure', Structure::class) ?? Structure::Woven,
                    $entry->boolean($at.'oneWay'),
                    $entry->length($at.'repeat', $system->widthUnit()),
                    $entry->money($at.'price'),
                );
            }
            $stated = $entry->length($at.'stated', $system->lengthUnit());
            $claims[] = new Claim($project.'#'.$i, $entry->choice($at.'role', Role::class) ?? Role::Main, $cloth, $cut, $wish, $stated, $entry->boolean($at.'cutOut'));
        }

        return $claims;
    }
}
