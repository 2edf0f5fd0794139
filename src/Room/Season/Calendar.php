<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Dated;
use Octavum\Core\Season\Diary;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Store\Plan\PlanLoader;
use Sabre\VObject\Component\VCalendar;
use Symfony\Component\Clock\ClockInterface;

/** A season, or all that are not over, as an iCalendar document (RFC 5545): days without hours, which no time zone moves. */
final readonly class Calendar
{
    public function __construct(
        private PlanLoader $plan,
        private PlanChecker $checker,
        private SentenceWriter $sentences,
        private AccountSettings $settings,
        private ClockInterface $clock,
    ) {
    }

    /** @param ?Season $only null for all that are not over */
    public function write(Account $account, ?Season $only = null): string
    {
        $projects = $this->plan->projects($account);
        $now = $this->clock->now();
        $seasons = array_filter(
            Season::ofProjects($projects),
            static fn (Season $one): bool => null === $only ? !$one->undated && $one->ends() >= $now : $one->id === $only->id,
        );
        $calendar = new VCalendar(['PRODID' => '-//Octavum//Season//EN']);
        $calendar->add('X-WR-CALNAME', $only->name ?? 'Octavum');
        $tape = new LengthFormatter($this->settings->load($account)->system);
        foreach ($this->checker->checkAll($account, array_values($seasons), $projects) as $checked) {
            foreach ((new Diary())->compile($checked) as $dated) {
                $this->add($calendar, $dated, $now, $this->sentences->write($dated->sentence, $tape));
            }
        }

        return $calendar->serialize();
    }

    private function add(VCalendar $calendar, Dated $dated, \DateTimeImmutable $now, string $words): void
    {
        $day = ['VALUE' => 'DATE'];
        $event = $calendar->createComponent('VEVENT', [
            'UID' => $dated->key.'@octavum.invalid',
            'DTSTAMP' => $now->setTimezone(new \DateTimeZone('UTC'))->format('Ymd\THis\Z'),
            'SUMMARY' => $words,
            'TRANSP' => 'TRANSPARENT',
        ]);
        $event->add('DTSTART', $dated->on->format('Ymd'), $day);
        $event->add('DTEND', $dated->on->modify('+1 day')->format('Ymd'), $day);
        $calendar->add($event);
    }
}
