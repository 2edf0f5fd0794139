<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Cloth;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\FibreFamily;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\TestDone;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

final class TestPagesTest extends PageTestCase
{
    /**
     * @param array<string, string> $fields
     * @param \Closure(Cloth): bool $changed
     */
    #[DataProvider('steps')]
    public function testATestIsDoneWrittenDownAndUndone(string $kind, array $fields, string $showed, \Closure $changed): void
    {
        [$account, $before] = $this->linen();
        $this->get('/cloth/'.$before->id.'/test/'.$kind);
        $this->send('Save the test', $fields);
        self::assertResponseRedirects('/cloth/'.$before->id);
        $cloth = $this->workroom($account)->cloths[0];
        self::assertSame([$showed], array_map(static fn (TestDone $test): string => $test->showed, $cloth->keeping->tests));
        self::assertTrue($changed($cloth));
        self::assertStringContainsString($showed, self::says($this->browser->followRedirect(), '#tests'));
        $this->send('undo', []);
        self::assertEquals($before, $this->workroom($account)->cloths[0]);
    }

    /** @return iterable<string, array{string, array<string, string>, string, \Closure(Cloth): bool}> */
    public static function steps(): iterable
    {
        yield 'the narrowest place counts' => [
            'width',
            ['at1' => '139', 'at2' => '138', 'at3' => '139.5'],
            '138 cm',
            static fn (Cloth $cloth): bool => 1380 === $cloth->width?->full->millimetres(),
        ];
        yield 'a square' => [
            'shrink',
            ['before' => '20', 'along' => '19', 'across' => '19.5'],
            '5 % along, 2.5 % across',
            static fn (Cloth $cloth): bool => 500 === $cloth->material->tested?->along->hundredths,
        ];
        yield 'a pull' => [
            'stretch',
            ['from' => '10', 'to' => '14', 'way' => 'across'],
            '40 % across',
            static fn (Cloth $cloth): bool => 40 === $cloth->material->feel->across,
        ];
        yield 'a swatch' => [
            'swatch',
            ['long' => '10', 'wide' => '10', 'mass' => '1,92 g'],
            '192 g/m²',
            static fn (Cloth $cloth): bool => 192 === $cloth->material->weight?->grams,
        ];
        yield 'scales' => [
            'length by weight',
            ['mass' => '0.518 kg'],
            'about 2.00 m',
            static fn (Cloth $cloth): bool => 2000 === $cloth->cuts[0]->length?->millimetres(),
        ];
        yield 'a bolt' => [
            'length on a bolt',
            ['layers' => '4', 'board' => '22', 'thick' => '2'],
            'about 1.92 m',
            static fn (Cloth $cloth): bool => 1920 === $cloth->cuts[0]->length?->millimetres(),
        ];
        yield 'a corner over the edge' => [
            'drape',
            ['drape' => 'flowing'],
            'flowing',
            static fn (Cloth $cloth): bool => Drape::Flowing === $cloth->material->feel->drape,
        ];
        yield 'a hand behind it' => [
            'opacity',
            ['opacity' => 'slightly sheer'],
            'slightly sheer',
            static fn (Cloth $cloth): bool => Opacity::SlightlySheer === $cloth->material->feel->opacity,
        ];
        yield 'a crease' => [
            'pressing',
            ['crease' => 'no'],
            'takes no crease',
            static fn (Cloth $cloth): bool => false === $cloth->material->feel->takesCrease,
        ];
        yield 'a flame' => [
            'burn',
            ['flame' => 'flares', 'smell' => 'paper', 'residue' => 'ash'],
            'cellulose',
            static fn (Cloth $cloth): bool => FibreFamily::Cellulose === $cloth->material->family,
        ];
    }

    /** @param array<string, string> $fields */
    #[DataProvider('faults')]
    public function testWhatCannotBeIsSaidAndKeptAndNothingIsWrittenDown(string $kind, array $fields, string $says): void
    {
        [$account, $before] = $this->linen();
        $this->get('/cloth/'.$before->id.'/test/'.$kind);
        $page = $this->send('Save the test', $fields);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($says, self::says($page));
        foreach ($fields as $field => $value) {
            self::assertSame(
                $value,
                $page->filter('[name='.$field.']')->attr('value')
                    ?? $page->filter('[name='.$field.'] option[selected]')->attr('value'),
            );
        }
        self::assertEquals($before, $this->workroom($account)->cloths[0]);
    }

    /** @return iterable<string, array{string, array<string, string>, string}> */
    public static function faults(): iterable
    {
        yield 'nothing' => ['width', [], 'Nothing is measured yet'];
        yield 'it grew' => ['shrink', ['before' => '20', 'along' => '25', 'across' => '20'], 'cannot be: check which is which'];
        yield 'half of it' => ['shrink', ['before' => '20'], 'A length is missing here'];
        yield 'shorter when pulled' => ['stretch', ['from' => '10', 'to' => '9'], 'it cannot be shorter than before'];
        yield 'no mass' => ['swatch', ['long' => '10', 'wide' => '10', 'mass' => '🦆'], 'cannot be read as a mass'];
        yield 'a heavy postage stamp' => ['swatch', ['long' => '1', 'wide' => '1', 'mass' => '90'], 'is no weight of a cloth'];
        yield 'no layers' => ['length on a bolt', ['board' => '22', 'thick' => '2'], 'Count the layers'];
        yield 'one sign only' => ['burn', ['flame' => 'melts'], 'without all three nothing is written down'];
    }

    public function testTheBurnTestShowsItsCautionsAndOthersClothIsNotToBeTested(): void
    {
        [, $cloth] = $this->linen();
        self::assertStringContainsString('water at hand', self::says($this->get('/cloth/'.$cloth->id.'/test/burn'), '.caution'));
        $this->browser->request('GET', '/cloth/'.$cloth->id.'/test/taste');
        self::assertResponseStatusCodeSame(404);
        $this->browser->loginUser($this->demo());
        $this->browser->request('GET', '/cloth/'.$cloth->id.'/test/burn');
        self::assertResponseStatusCodeSame(404);
    }

    /** @return array{\Octavum\Account\Account, Cloth} */
    private function linen(): array
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/cloth/new');
        $this->send('Save the cloth', ['name' => 'Moss linen', 'width' => '140', 'grams' => '185', 'cuts' => [['length' => '2.5 m']]]);

        return [$account, $this->workroom($account)->cloths[0]];
    }
}
