<?php

declare(strict_types=1);

namespace Octavum\Console;

use Symfony\Component\HttpClient\HttpClient;
use Symfony\Contracts\HttpClient\Exception\TransportExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

/** Just enough of a browser to open the demo workroom and ask for its pages. */
final class BenchClient
{
    private string $cookie = '';
    private readonly HttpClientInterface $http;

    public function __construct(string $base)
    {
        $this->http = HttpClient::create(['base_uri' => $base, 'max_redirects' => 0]);
    }

    /** Waits up to five seconds for the server, then signs in. */
    public function openDemo(): void
    {
        for ($i = 0; $i < 50; ++$i) {
            try {
                $page = $this->ask('GET', '/sign-in')->getContent();
            } catch (TransportExceptionInterface) {
                usleep(100_000);
                continue;
            }
            preg_match('/name="_token" value="([^"]+)"/', $page, $found);
            $this->ask('POST', '/demo', ['_token' => $found[1] ?? '']);

            return;
        }
        throw new \RuntimeException('The server does not answer.');
    }

    /** @throws \RuntimeException unless the page is there */
    public function get(string $path): string
    {
        $response = $this->ask('GET', $path);

        return 200 === $response->getStatusCode()
            ? $response->getContent()
            : throw new \RuntimeException(\sprintf('%s answers %d.', $path, $response->getStatusCode()));
    }

    /** @param array<string, string> $body */
    private function ask(string $method, string $path, array $body = []): ResponseInterface
    {
        $response = $this->http->request(
            $method,
            $path,
            ['headers' => ['Cookie' => $this->cookie]] + ([] === $body ? [] : ['body' => $body]),
        );
        foreach ($response->getHeaders(false)['set-cookie'] ?? [] as $header) {
            if (str_starts_with($header, 'octavum=')) {
                $this->cookie = strtok($header, ';');
            }
        }

        return $response;
    }
}
