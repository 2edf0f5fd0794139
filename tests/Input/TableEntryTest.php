<?php

declare(strict_types=1);

namespace Octavum\Tests\Input;

use Octavum\Core\Notion\NotionColumn;
use Octavum\Core\Reading\CsvTable;
use Octavum\Input\Entry;
use Octavum\Input\TableEntry;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;

final class TableEntryTest extends TestCase
{
    public function testColumnsAreGuessedChosenAndCarriedOn(): void
    {
        $text = base64_encode("Kind,Size,Shop,Box\nbutton,11,Market,tin 2\n");
        $guessed = $this->read(['text' => $text]);
        self::assertSame([NotionColumn::Kind, NotionColumn::Measure, NotionColumn::Notes, NotionColumn::Place], $guessed->columns);
        self::assertSame($text, $guessed->text, 'the file need not be brought again');
        self::assertSame(
            ['kind' => 'button', 'measure' => '11', 'notes' => 'Shop: Market', 'place' => 'tin 2'],
            $guessed->values(['button', '11', 'Market', 'tin 2']),
        );
        $chosen = $this->read(['text' => $text, 'columns' => ['name', 'amount', '', 'place', 9 => 'kind']]);
        self::assertSame([NotionColumn::Name, NotionColumn::Amount, null, NotionColumn::Place], $chosen->columns);
        self::assertSame(
            ['name' => 'button', 'amount' => '11', 'notes' => 'Shop: Market', 'place' => 'tin 2'],
            $chosen->values(['button', '11', 'Market', 'tin 2']),
            'what has no column stands in the notes',
        );
    }

    public function testNothingAndNonsenseAreFaults(): void
    {
        foreach (
            ['' => 'Choose a file first', base64_encode("PNG\0\0\0 x") => 'not a table', '!!' => 'Choose a file first'] as $text => $says
        ) {
            $entry = new Entry(['text' => $text]);
            $request = Request::create('/', 'POST', ['text' => $text]);
            self::assertNull(TableEntry::of($request, $entry, NotionColumn::class)->table);
            self::assertStringContainsString($says, (string) ($entry->faults()['file'] ?? ''));
        }
    }

    public function testWhatGoesOutComesInAgainAndIsNoFormula(): void
    {
        $rows = [['=SUM(A1)', "two\nlines"], ['a "quoted", thing', '-3']];
        $written = (string) TableEntry::file('a.csv', ['Name', 'Note'], $rows)->getContent();
        self::assertStringStartsWith("\xEF\xBB\xBF", $written);
        $table = CsvTable::of($written);
        self::assertSame(['Name', 'Note'], $table->headings);
        self::assertSame([['=SUM(A1)', 'two lines'], ['a "quoted", thing', '-3']], array_values($table->rows));
    }

    public function testWhatASpreadsheetWouldTakeForAFormulaIsMarked(): void
    {
        foreach (['=1', '+a1', '-a1', '@1', ' =1', "\t1", "\r1", '＝1', '＋1', '－1', '＠1', "\u{a0}=1"] as $cell) {
            self::assertSame("'".$cell, CsvTable::marked($cell));
        }
        foreach (['moss = linen', '’tis', "'tis", '1.4', '-159', '+1', '-1.5', ''] as $cell) {
            self::assertSame($cell, CsvTable::marked($cell));
        }
        self::assertSame([["'tis"]], array_values(CsvTable::of("Name\n'tis\n")->rows));
    }

    public function testATableOfTooManyColumnsIsRefusedByItsHead(): void
    {
        $this->expectExceptionMessage('This table has 200000 columns; 200 can be read.');
        CsvTable::of(str_repeat('a,', 199_999)."a\n".str_repeat('1,', 199_999)."1\n");
    }

    /**
     * @param array<string, mixed> $typed
     *
     * @return TableEntry<NotionColumn>
     */
    private function read(array $typed): TableEntry
    {
        return TableEntry::of(Request::create('/', 'POST', $typed), new Entry($typed), NotionColumn::class);
    }
}
