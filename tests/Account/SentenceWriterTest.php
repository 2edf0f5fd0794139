<?php

declare(strict_types=1);

namespace Octavum\Tests\Account;

use Octavum\Account\SentenceWriter;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Page\IcuTranslator;
use Octavum\Page\Pager;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Translation\Loader\ArrayLoader;
use Symfony\Component\Translation\Translator;

final class SentenceWriterTest extends TestCase
{
    public function testFiguresAreInTheReadersUnitsAndPluralsAgree(): void
    {
        $sentence = new Sentence('{project} is {missing} short: {count, plural, one {# cut} other {# cuts}}, {share}, by {day}.', [
            'project' => 'Coat',
            'missing' => Figure::needed(Length::ofMetres('0.258')),
            'count' => 2,
            'share' => Percent::of(4),
            'day' => new \DateTimeImmutable('2027-03-01'),
        ]);
        self::assertSame('Coat is 26 cm short: 2 cuts, 4 %, by 1 March.', $this->write($sentence));
        self::assertSame('Coat is 10¼ in short: 2 cuts, 4 %, by 1 March.', $this->write($sentence, System::Imperial));
        self::assertStringContainsString('1 cut,', $this->write(new Sentence($sentence->message, ['count' => 1] + $sentence->with)));
    }

    public function testASentenceMayStandWithinAnother(): void
    {
        $inner = new Sentence('“{text}” is wrong', ['text' => '{not a field} it’s \'quoted\'']);
        self::assertSame(
            'Coat: “{not a field} it’s \'quoted\'” is wrong',
            $this->write(new Sentence('{project}: {settle}', ['project' => 'Coat', 'settle' => $inner])),
            'what goes in is never read as a message',
        );
    }

    public function testADialectListsOnlyWhatDiffers(): void
    {
        $translator = $this->translator(['Choose a {thing}.' => 'Pick a {thing}.']);
        self::assertSame('Pick a toile.', $translator->trans('Choose a {thing}.', ['thing' => 'toile']));
        self::assertSame('Measure the width.', $translator->trans('Measure the width.'));
    }

    public function testADialectHasWordsOfItsOwnAndLeavesNamesInBracesAlone(): void
    {
        $inner = new Translator('en_US');
        $inner->addLoader('array', new ArrayLoader());
        $inner->addResource('array', ['zip' => 'zipper', 'colour' => 'color', 'metres' => 'meters'], 'en_US', 'words');
        $translator = new IcuTranslator($inner);
        self::assertSame(
            'Zipper, a zip 5 meters long',
            $translator->trans('Zip, {colour} {count, plural, one {# metre} other {# metres}} long', ['colour' => 'a zip', 'count' => 5]),
            'what goes in is the sewist’s own',
        );
        self::assertSame('a zipping sound', $translator->trans('a zipping sound'), 'whole words only');
    }

    public function testAPageOfALongList(): void
    {
        $pager = Pager::of(range(1, 120), 3);
        self::assertSame([range(101, 120), 3, 3, 120], [$pager->items, $pager->page, $pager->pages, $pager->total]);
        self::assertSame(3, Pager::of(range(1, 120), 99)->page, 'beyond the end is the last page');
        self::assertSame(1, Pager::of(range(1, 120), -4)->page);
        self::assertSame([[], 1], [Pager::of([], 1)->items, Pager::of([], 1)->pages]);
    }

    private function write(Sentence $sentence, System $system = System::Metric): string
    {
        return (new SentenceWriter($this->translator([])))->write($sentence, new LengthFormatter($system));
    }

    /** @param array<string, string> $messages */
    private function translator(array $messages): IcuTranslator
    {
        $inner = new Translator('en');
        $inner->addLoader('array', new ArrayLoader());
        $inner->addResource('array', $messages, 'en');

        return new IcuTranslator($inner);
    }
}
