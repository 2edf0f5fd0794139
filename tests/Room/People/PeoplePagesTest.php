<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\People;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Measure\Length;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Tests\PageTestCase;

final class PeoplePagesTest extends PageTestCase
{
    public function testSomeoneIsMeasuredTwiceChangedAndUndone(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/people');
        $this->send('Add', ['name' => 'Suvi', 'child' => '1']);
        $this->browser->followRedirect();
        $this->send('Save the measurements', ['on' => '2026-03-01', 'points' => ['height' => '105', 'bust' => '22 1/2 in']]);
        $this->browser->followRedirect();
        $page = $this->send('Save the measurements', ['on' => '2026-09-01', 'points' => ['height' => '109.5 cm']]);
        self::assertResponseRedirects();
        self::assertStringContainsString('+4.5 cm', self::says($this->browser->followRedirect()));
        $person = $this->workroom($account)->people[0];
        self::assertTrue($person->child);
        self::assertSame(1095, $person->at(BodyPoint::Height)?->millimetres());
        self::assertSame(571.5, $person->at(BodyPoint::Bust)?->millimetres());

        $this->get('/people/'.$person->id.'?on=2026-09-01');
        $this->send('Save the measurements', ['on' => '2026-09-02', 'points' => ['height' => '110']]);
        $changed = $this->workroom($account)->people[0];
        self::assertSame(
            ['2026-09-02', '2026-03-01'],
            array_map(static fn ($day): string => $day->on->format('Y-m-d'), $changed->measured),
            'the day is moved, not doubled',
        );
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertSame(1095, $this->workroom($account)->people[0]->at(BodyPoint::Height)?->millimetres());
    }

    public function testNonsenseIsSaidAndKept(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/people');
        self::assertStringContainsString('needs', self::says($this->send('Add', ['name' => ' '])));
        $this->send('Add', ['name' => '<script>alert(1)</script>']);
        $this->browser->followRedirect();
        $page = $this->send('Save the measurements', ['on' => '2099-01-01', 'points' => ['bust' => '92 m', 'hip' => '-4', 'waist' => '🦆']]);
        self::assertResponseStatusCodeSame(422);
        $text = self::says($page);
        self::assertStringContainsString('still to come', $text);
        self::assertStringContainsString('longer than a person is tall', $text);
        self::assertStringContainsString('below zero', $text);
        self::assertStringContainsString('cannot be read as a length', $text);
        self::assertSame('🦆', $page->filter('[name="points[waist]"]')->attr('value'));
        self::assertStringContainsString(
            'Nothing is measured yet',
            self::says($this->send('Save the measurements', [
                'on' => '2026-01-01',
                'points' => ['bust' => '', 'hip' => '', 'waist' => ''],
            ])),
        );
        self::assertSame([], $this->workroom($account)->people[0]->measured);
    }

    public function testAChartTellsTheSizeOnThePatternAndThePersonsPage(): void
    {
        $account = $this->demo();
        $this->browser->loginUser($account);
        $page = $this->get('/patterns?words=reedling');
        $page = $this->browser->click($page->selectLink('Reedling blouse')->link());
        $text = self::says($page);
        self::assertStringContainsString(
            '16 bust, 18 hip: grade between. Chosen by bust; cloth is worked out for 18, the largest used.',
            $text,
        );
        self::assertStringContainsString('The bust, 94.5 cm, lies between 14 and 16', $text);
        self::assertStringContainsString('Size 18 is outside the copy owned (8, 10, 12, 14).', $text);
        $page = $this->browser->click($page->selectLink('Odalys')->link());
        self::assertStringContainsString('Reedling blouse 16 bust, 18 hip', self::says($page));
        self::assertStringContainsString('Windmill top is not drafted for a bust of 94.5 cm', self::says($page));
    }

    public function testAChartIsShownAsItIsUnderstoodAndAFaultKeepsIt(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/patterns/new');
        $token = ['_token' => (string) $this->browser->getCrawler()->filter('meta[name=csrf]')->attr('content')];
        self::assertStringContainsString(
            'Bust 80 cm 83 cm',
            self::says($this->post('/patterns/chart/read', ['chart' => "8 10\nbust 80 83"] + $token)),
        );
        self::assertStringContainsString(
            '3 figures for 2 sizes',
            self::says($this->post('/patterns/chart/read', ['chart' => "8 10\nbust 80 83 87"] + $token)),
        );
        $this->get('/patterns/new');
        $page = $this->send('Save the pattern', ['title' => 'Blouse', 'chart' => "8 10\nbust 83 80"]);
        self::assertStringContainsString('becomes smaller', self::says($page));
        self::assertSame("8 10\nbust 83 80", $page->filter('#f-chart')->text(null, false));
        $this->send('Save the pattern', ['chart' => "8 10\nbust 80 83.5", 'draftedFor' => '168', 'runs' => 'small', 'chartBy' => 'bust']);
        $chart = $this->workroom($account)->patterns[0]->chart;
        self::assertSame(
            [800, 835],
            array_map(static fn (Length $length): float|int => $length->millimetres(), array_values($chart->body['bust'])),
        );
        self::assertSame(1680, $chart->height?->millimetres());
        self::assertSame(BodyPoint::Bust, $chart->by);
    }

    public function testAProjectSaysTheSizeAndFlagsASmallerOne(): void
    {
        $this->browser->loginUser($this->demo());
        $page = $this->get('/season');
        $page = $this->browser->click($page->selectLink('Lock-keeper trousers')->link());
        $page = $this->browser->click($page->filter('.parts a[href$="/pattern"]')->link());
        self::assertStringContainsString('16 waist, 14 hip: grade between', self::says($page));
        $page = $this->browser->click($page->selectLink('Change')->link());
        self::assertStringContainsString('16 waist, 14 hip: grade between', self::says($page));
        $answer = self::says($this->browser->submit($page->selectButton('Save the project')->form(), ['gradedTo' => '']));
        $this->browser->followRedirect();
        self::assertStringContainsString(
            'Lock-keeper trousers: size 14 is planned, and by the chart Ottoline takes 16.',
            self::says($this->fetched()),
        );
    }

    public function testAnotherAccountsPeopleAreNotToBeSeen(): void
    {
        $other = $this->demo();
        $id = $this->workroom($other)->people[0]->id;
        $this->browser->loginUser($this->account());
        $this->browser->request('GET', '/people/'.$id);
        self::assertResponseStatusCodeSame(404);
        foreach (['edit', 'remove', 'day/remove'] as $action) {
            $this->get('/people');
            $this->post('/people/'.$id.'/'.$action, ['name' => 'Mine']);
            self::assertResponseStatusCodeSame(404);
        }
        self::assertSame('Ottoline', $this->workroom($other)->people[0]->name);
    }

    /** What is planned and kept for somebody who is taken out does not make the workroom unreadable. */
    public function testAWorkroomWithoutSomebodyGoesOutAndComesInAgain(): void
    {
        $account = $this->signInToDemo();
        $ottoline = $this->workroom($account)->people[0];
        $this->get('/people/'.$ottoline->id);
        $this->send('Take this person out', []);
        $workroom = $this->workroom($account);
        self::assertCount(3, $workroom->people);
        $document = (new WorkroomWriter())->write($workroom);
        self::assertStringNotContainsString($ottoline->id, $document);
        self::assertCount(23, (new WorkroomReader())->read($document)->projects);
        $this->browser->followRedirect();
        $this->send('undo', []);
        $back = $this->workroom($account);
        self::assertCount(4, $back->people);
        self::assertStringContainsString($ottoline->id, (new WorkroomWriter())->write($back), 'with all that is planned and kept for her');
    }
}
