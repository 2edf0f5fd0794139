<?php

declare(strict_types=1);

namespace Octavum\Tests;

use Octavum\Account\AccountRepository;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;

final class PageTest extends WebTestCase
{
    public function testPages(): void
    {
        $client = self::createClient();
        $client->catchExceptions(false);
        $client->loginUser(self::getContainer()->get(AccountRepository::class)->demo());
        foreach (['/season', '/cloth', '/shopping', '/patterns', '/settings'] as $path) {
            $client->request('GET', $path);
            self::assertResponseIsSuccessful();
        }
    }
}
