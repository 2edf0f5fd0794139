<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Cutting;
use Octavum\Core\Project\Project;
use Octavum\Document\Codec\LayRulesCodec;
use Octavum\Document\Codec\PieceCodec;
use Octavum\Document\Json\Faults;
use Octavum\Document\Json\Node;
use Octavum\Document\Json\Refused;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Pattern\Library;
use Octavum\Store\Plan\PlanLoader;
use Symfony\Contracts\Cache\CacheInterface;

/**
 * Reads what the page asks to be laid: {garments: [{project, option, role, pieces} or {version, size, role, pieces}],
 * sheets: [{cut} or {width}], and how, as in a lay that is kept}, lengths in millimetres.
 */
final readonly class SetupReader
{
    private const MOST_GARMENTS = 12;
    private const MOST_SHEETS = 12;
    private const WIDTHS = [100, 4000];

    public function __construct(
        private Stash $stash,
        private PlanLoader $plan,
        private Library $library,
        private AccountSettings $settings,
        private PieceCodec $pieces,
        private LayRulesCodec $rules,
        private CacheInterface $cache,
    ) {
    }

    /**
     * @param mixed $asked decoded JSON
     *
     * @throws Refused
     */
    public function read(mixed $asked, Account $account): Setup
    {
        $faults = new Faults();
        $node = new Node($asked, $faults);
        $node->object(['garments', 'sheets', ...LayRulesCodec::FIELDS]);
        $garments = $pieces = $known = $sizes = $options = [];
        foreach ($node->at('garments')->items(self::MOST_GARMENTS) as $one) {
            $one->object(['project', 'version', 'role', 'size', 'pieces', 'option']);
            $only = $one->at('pieces')->texts(60);
            $role = $one->at('role')->choice(Role::class) ?? Role::Main;
            $id = $one->at('project')->optionalText(60);
            if (null !== $id) {
                $project = $this->project($account, $id, $one->at('option')->optionalText(60));
                if (null === $project) {
                    $one->at('project')->fault('This project is no longer on the plan.');
                    continue;
                }
                // of several sewn together, the one of the size that is asked for
                $line = $this->line($project, $one->at('size')->text(20));
                [$name, $pattern, $size] = [$line->name, $line->current->pattern, $line->largestSize()];
                $version = $line->cutting($this->claim($line, $role, $only))?->version;
            } else {
                [$pattern, $version] = $this->library->version($account, $one->at('version')->text(60)) ?? [null, null];
                if (null === $pattern || null === $version) {
                    $one->at('version')->fault('This version is no longer in the library.');
                    continue;
                }
                [$name, $size] = [$pattern->title, $one->at('size')->text(20)];
                $version = Cutting::of($version, $size, [], new Claim('', $role, pieces: $only), [])->version;
            }
            $garments[] = new LaidGarment(
                Role::Main === $role && [] === $only ? $name : $name.' ('.implode(', ', [] === $only ? [$role->value] : $only).')',
                $id,
                $version?->id,
                role: $role,
                size: $size,
                mark: $version?->pieces->mark($size) ?? '',
                pieces: $only,
            );
            [$pieces[], $known[]] = $this->pieces($pattern, $version, $role, $size, [] !== $only);
            $marked = array_map(strval(...), array_keys($version->pieces->marks ?? []));
            $options[] = null === $id ? null : $one->at('option')->optionalText(60);
            $sizes[] = null !== $id ? [] : ([] === $marked ? $version->table->sizes : $marked);
        }
        $cuts = [];
        $sheets = [];
        foreach ($node->at('sheets')->items(self::MOST_SHEETS) as $one) {
            $one->object(['cut', 'width']);
            $id = $one->at('cut')->optionalText(60);
            if (null === $id) {
                $sheets[] = new LaidSheet(
                    null,
                    null,
                    Length::ofMillimetres($one->at('width')->numberWithin(...self::WIDTHS)),
                    null,
                    Length::zero(),
                );
                continue;
            }
            $cuts = [] === $cuts ? $this->cuts($account) : $cuts;
            [$cloth, $cut] = $cuts[$id] ?? [null, null];
            $toCut =
                null === $cloth || null === $cut ? null : ToCut::of($cloth, $cut, $this->settings->load($account)->assumptions, laid: true);
            if (null === $cloth || null === $toCut?->width || null === $toCut->length || $toCut->length->micrometres < 1000) {
                $one->at('cut')->fault(
                    null === $cloth
                        ? 'This cut is no longer in the stash.'
                        : '{cloth} cannot be laid on: measure its length and width first.',
                    ...null === $cloth ? [] : ['cloth' => $cloth->name],
                );
                continue;
            }
            $sheets[] = new LaidSheet($cloth, $cut, $toCut->width, $toCut->length, Length::zero());
        }
        $oneWay = [] !== array_filter($sheets, static fn (LaidSheet $sheet): bool => true === $sheet->cloth?->isOneWay());
        $rules = $this->rules->read($node);
        $rules = $oneWay ? $rules->sameWayUp() : $rules;
        $lay = new LaySetup($sheets, $garments, $pieces, $rules, $this->settings->load($account)->assumptions);
        foreach ($lay->refused as $why) {
            $node->fault('{why}', why: $why);
        }
        $faults->refuse();

        return new Setup($lay, $node->map(), $known, $sizes, $options);
    }

    /** @return array{list<Piece>, string} */
    private function pieces(?Pattern $pattern, ?Version $version, Role $role, string $size, bool $named): array
    {
        if (null === $version) {
            return [[], 'none'];
        }
        $own = $version->pieces->in($size, $role);
        if ([] !== $own) {
            return [$own, 'pieces'];
        }
        $block = $named ? [] : $this->block($pattern->makes->garment ?? Garment::Other, $version, $role, $size);

        return [
            $block,
            match (true) {
                [] === $block => 'none',
                (new Block())->isCalibrated($version->table, $size) => 'calibrated',
                default => 'rough',
            },
        ];
    }

    /** @return list<Piece> */
    private function block(Garment $garment, Version $version, Role $role, string $size): array
    {
        $key = 'block-'.hash('xxh128', serialize([$garment->value, $version->table, $role->value, $size]));
        $stored = $this->cache->get(
            $key,
            fn (): array => $this->pieces->write((new Block())->pieces($garment, $version->table, $role, $size)),
        );

        return $this->pieces->read(Node::typed($stored));
    }

    /** As it leads, or as one of its options would make it. */
    private function project(Account $account, string $id, ?string $option): ?Project
    {
        if (null === $option) {
            return $this->plan->project($account, $id);
        }
        foreach ($this->plan->projects($account) as $project) {
            foreach ($project->id === $id ? $project->openOptions() : [] as $one) {
                if ($one->id === $option) {
                    return $project->made($one);
                }
            }
        }

        return null;
    }

    /**
     * @param list<string> $pieces
     *
     * @return Claim the one for this, or what it would be
     */
    private function claim(Project $project, Role $role, array $pieces): Claim
    {
        foreach ($project->current->claims as $claim) {
            if ($claim->isFor($role, $pieces)) {
                return $claim;
            }
        }

        return new Claim('', $role, pieces: $pieces);
    }

    private function line(Project $project, string $size): Project
    {
        foreach ($project->lines() as $line) {
            if ($line->largestSize() === $size) {
                return $line;
            }
        }

        return $project;
    }

    /** @return array<string, array{Cloth, Cut}> by id */
    private function cuts(Account $account): array
    {
        $cuts = [];
        foreach ($this->stash->all($account) as $cloth) {
            foreach ($cloth->cuts as $cut) {
                $cuts[$cut->id] = [$cloth, $cut];
            }
        }

        return $cuts;
    }
}
