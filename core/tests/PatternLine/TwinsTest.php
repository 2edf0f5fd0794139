<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\PatternLine;

use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternLabel;
use Octavum\Core\PatternLine\Twins;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TwinsTest extends TestCase
{
    #[DataProvider('news')]
    public function testAPatternThatIsHereAlreadyIsRecognised(Pattern $new, ?string $says): void
    {
        $library = [
            new Pattern('a', 'Towpath coat', label: new PatternLabel(maker: 'Marrowlane', number: 'K204', otherNumbers: ['K871', 'T-118'])),
            new Pattern('b', 'Moth slip', label: new PatternLabel(number: '55')),
        ];
        $found = (new Twins())->find($new, $library);
        self::assertCount(null === $says ? 0 : 1, $found);
        if (null !== $says) {
            self::assertStringContainsString($says, (string) reset($found));
        }
    }

    /** @return iterable<string, array{Pattern, ?string}> */
    public static function news(): iterable
    {
        yield 'its number' => [
            new Pattern('', 'Another', label: new PatternLabel(maker: 'Marrowlane', number: 'k 204')),
            'Number K204 is in the library already: Towpath coat (Marrowlane), owned.',
        ];
        yield 'a reissue' => [
            new Pattern('', 'Canal coat', label: new PatternLabel(maker: 'Marrowlane', number: 'K871')),
            'Number K871 is another number of Towpath coat (Marrowlane), which is owned: a reissue of the same pattern.',
        ];
        yield 'listing the owned one' => [
            new Pattern('', 'Canal coat', label: new PatternLabel(maker: 'Marrowlane', number: 'X1', otherNumbers: ['T118'])),
            'T-118 is another number',
        ];
        yield 'nearly the same name' => [
            new Pattern('', 'Tow-path coat', label: new PatternLabel(maker: 'Marrow Lane')),
            'called almost the same',
        ];
        yield 'the number of another maker' => [
            new Pattern('', 'Quilted bag', label: new PatternLabel(maker: 'Tallowbridge', number: 'K204')),
            null,
        ];
        yield 'no maker said' => [new Pattern('', 'Quilted bag', label: new PatternLabel(number: 'K871')), 'a reissue'];
        yield 'itself' => [new Pattern('a', 'Towpath coat', label: new PatternLabel(maker: 'Marrowlane', number: 'K204')), null];
        yield 'something new' => [new Pattern('', 'Evensong dress', label: new PatternLabel(maker: 'Marrowlane', number: 'K300')), null];
    }
}
