<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Pattern;

use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Piece\Garment;
use Octavum\Tests\PageTestCase;

final class PatternHaulPagesTest extends PageTestCase
{
    public function testLinesAreShownSavedAndTakenOutAgain(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/patterns/haul');
        $token = ['_token' => (string) $this->browser->getCrawler()->filter('meta[name=csrf]')->attr('content')];
        self::assertStringContainsString(
            '“8-20” is read as 8, 10',
            self::says($this->post('/patterns/haul/read', ['haul' => 'Q112 wrap dress, PDF, 8-20'] + $token)),
        );
        self::assertSame([], $this->workroom($account)->patterns);
        $this->get('/patterns/haul');
        $this->send('Put them into the library', ['haul' => "Q112 wrap dress, PDF, 8-20, not printed\n\n<script>alert(1)</script> skirt"]);
        self::assertResponseRedirects('/patterns');
        $patterns = $this->workroom($account)->patterns;
        self::assertSame(
            [Garment::Dress, Garment::Skirt],
            array_map(static fn (Pattern $pattern): Garment => $pattern->makes->garment, $patterns),
        );
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertSame([], $this->workroom($account)->patterns);
    }

    public function testOneThatIsOwnedAlreadyIsSaidBeforeItIsSaved(): void
    {
        $account = $this->signInToDemo();
        $this->get('/patterns/haul');
        $page = $this->send('Put them into the library', ['haul' => "K871 evensong, tissue\nQ112 wrap dress"]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Number K871 is another number of Evensong dress', self::says($page));
        self::assertStringContainsString('One of these may be in the library already', self::says($page));
        $this->send('Put them into the library', ['both' => '1']);
        self::assertCount(29, $this->workroom($account)->patterns);
    }

    public function testNothingAndTooMuchAreSaid(): void
    {
        $this->browser->loginUser($this->account());
        $this->get('/patterns/haul');
        self::assertStringContainsString('Nothing is typed yet', self::says($this->send('Put them into the library', ['haul' => " \n"])));
        self::assertStringContainsString(
            '301 lines are more than the 300',
            self::says($this->send('Put them into the library', ['haul' => str_repeat("skirt\n", 301)])),
        );
    }
}
