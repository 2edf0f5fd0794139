<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Lists;

use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternLabel;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Wish;
use Octavum\Core\Season\Lists\ListDates;
use Octavum\Core\Season\Lists\ListRule;
use Octavum\Core\Season\Lists\SewingList;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SewingListTest extends TestCase
{
    public function testFourOfNineTwoWithoutCloth(): void
    {
        $projects = [];
        foreach (range(1, 6) as $i) {
            $claims = $i > 4 ? [new Claim('c'.$i, Role::Main)] : [];
            $projects[] = new Project(
                'p'.$i,
                'P'.$i,
                Plan::season(),
                $i,
                log: new ProjectLog(state: $i > 4 ? ProjectState::Planned : ProjectState::Done),
                current: new Option('', claims: $claims),
            );
        }
        $list = new SewingList('l', 'Nine', target: 9, projects: ['p1', 'p2', 'p3', 'p4', 'p5', 'p6', 'taken off the plan']);
        $answer = $list->answer($projects);
        self::assertSame([4, 6, 2], [$answer->done(), \count($answer->rows), $answer->withoutCloth()]);
        self::assertSame([], $answer->breaches());
        self::assertSame(9, $answer->sentence()->with['target']);
        self::assertSame(6, (new SewingList('l', 'All', projects: $list->projects))->answer($projects)->sentence()->with['target']);
    }

    /** A role that was begun on, or is to be bought, is not without cloth; one of two that is open is. */
    public function testWhatIsWithoutCloth(): void
    {
        $open = new Claim('a', Role::Main);
        $done = new Claim('b', Role::Main, cutOut: true);
        $wish = new Claim('c', Role::Lining, wish: new Wish('Lining', FibreMix::unknown()));
        $without = static function (Claim ...$claims): int {
            $project = new Project('p', 'P', Plan::season(), 1, current: new Option('', claims: array_values($claims)));

            return (new SewingList('l', 'L', projects: ['p']))->answer([$project])->withoutCloth();
        };
        self::assertSame([1, 1, 0, 0, 1], [$without(), $without($open), $without($done), $without($wish), $without($wish, $open)]);
    }

    #[DataProvider('rules')]
    public function testOnePurchaseBreaksAStashRule(ListRule $rule, string $subject, Project $project, ?string $says): void
    {
        $dates = new ListDates(new \DateTimeImmutable('2027-01-01'));
        $list = new SewingList('l', 'L', $dates, rule: $rule, subject: $subject, projects: ['p']);
        self::assertSame(null === $says ? [] : [$says], array_map(strval(...), $list->answer([$project])->breaches()));
    }

    /** @return iterable<string, array{ListRule, string, Project, ?string}> */
    public static function rules(): iterable
    {
        $cloth = static fn (string $bought, CutState $state = CutState::Arrived): Claim => new Claim(
            'c',
            Role::Main,
            new Cloth('cloth', 'Lawn'),
            new Cut('cut', [new LedgerEntry(new \DateTimeImmutable($bought), LedgerKind::Bought)], state: $state),
        );
        $project = static fn (?Person $for = null, string $maker = '', string $title = 'Tee', Claim ...$claims): Project => new Project(
            'p',
            'P',
            Plan::season(),
            1,
            brief: new ProjectBrief($for),
            current: new Option('', new Pattern('k', $title, label: new PatternLabel(maker: $maker)), claims: array_values($claims)),
        );
        $wish = new Claim('w', Role::Lining, wish: new Wish('Viscose lining', FibreMix::unknown()));
        $stash = ListRule::StashOnly;
        yield 'from the stash' => [$stash, '', $project(null, '', 'Tee', $cloth('2026-12-31')), null];
        yield 'bought on the first day' => [
            $stash,
            '',
            $project(null, '', 'Tee', $cloth('2027-01-01')),
            'P: Lawn was bought on 2027-01-01, after the list began.',
        ];
        yield 'ordered' => [
            $stash,
            '',
            $project(null, '', 'Tee', $cloth('2026-12-31', CutState::Ordered)),
            'P: Lawn is ordered, not from the stash.',
        ];
        yield 'the cloth is here, the lining is bought' => [
            $stash,
            '',
            $project(null, '', 'Tee', $cloth('2026-12-31'), $wish),
            'P buys Viscose lining: only stash cloth is meant.',
        ];
        yield 'nothing chosen yet' => [$stash, '', $project(), null];
        yield 'for a niece' => [ListRule::ForOthers, 'Ottoline', $project(new Person('s', 'Suvi')), null];
        yield 'for herself' => [
            ListRule::ForOthers,
            'ottoline ',
            $project(new Person('o', 'Ottoline')),
            'P is for Ottoline, not for others.',
        ];
        yield 'for nobody yet' => [ListRule::ForOthers, 'Ottoline', $project(), 'P: the person is not set.'];
        yield 'one of the makers' => [ListRule::TheseMakers, 'Marrowlane, Sallowmere', $project(null, 'sallowmere'), null];
        yield 'another maker' => [
            ListRule::TheseMakers,
            'Marrowlane, Sallowmere',
            $project(null, 'Marrow'),
            'P is not of Marrowlane, Sallowmere.',
        ];
        yield 'no maker' => [ListRule::TheseMakers, 'Marrowlane,', $project(), 'P is not of Marrowlane,.'];
        yield 'the pattern' => [ListRule::ThisPattern, 'tiller tee', $project(null, '', 'Tiller tee'), null];
        yield 'another pattern' => [ListRule::ThisPattern, 'Tiller tee', $project(null, '', 'Tee'), 'P is not made from Tiller tee.'];
    }
}
