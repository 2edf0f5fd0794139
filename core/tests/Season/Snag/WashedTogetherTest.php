<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Snag;

use Octavum\Core\Project\Project;
use Octavum\Core\Season\Snag\Action;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

/** Cloths that wait for the wash are one snag of a season, cleared in one press; on its own project each stays its own. */
final class WashedTogetherTest extends TestCase
{
    public function testOneCloth(): void
    {
        self::assertSame(['mark as washed: cut of Lawn'], $this->washing($this->project('Skirt', 'Lawn')));
    }

    public function testSeveralAreOneSnagThatNamesTheirCuts(): void
    {
        $projects = [$this->project('Skirt', 'Lawn'), $this->project('Shirt', 'Drill'), $this->project('Top', 'Lawn')];
        self::assertSame(['mark all as washed: cut of Lawn cut of Drill'], $this->washing(...$projects));
        $said = array_values(array_filter(
            Plan::check(...$projects)->snags(),
            static fn (Snag $snag): bool => Action::MarkAllWashed === $snag->action,
        ))[0]->sentence;
        self::assertSame(['count' => 2, 'cloths' => 'Lawn, Drill'], $said->with);
        self::assertContains(Action::MarkWashed, array_column(Plan::check(...$projects)->projects[0]->snags, 'action'));
    }

    /** @return list<string> */
    private function washing(Project ...$projects): array
    {
        $snags = array_filter(
            Plan::check(...$projects)->snags(),
            static fn (Snag $snag): bool => \in_array($snag->action, [Action::MarkWashed, Action::MarkAllWashed], true),
        );

        return array_values(array_map(static fn (Snag $snag): string => $snag->action->value.': '.$snag->subject, $snags));
    }

    private function project(string $name, string $cloth): Project
    {
        return Plan::project($name, 1, Plan::version(['1.4' => '0.5']), Plan::claim(Plan::cloth('1.4', '4', name: $cloth), id: $name));
    }
}
