<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

use Symfony\Component\HttpClient\HttpClient;
use Symfony\Component\Mime\Part\DataPart;
use Symfony\Component\Mime\Part\Multipart\FormDataPart;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

/** One person at one browser: keeps cookies, sends the token of the page last seen, follows nothing. */
final class Visitor
{
    /** @var array<string, string> */
    public array $cookies = [];
    private string $token = '';
    private readonly HttpClientInterface $http;

    public function __construct(private readonly string $base, float $patience = 60)
    {
        $this->http = HttpClient::create(['base_uri' => $base, 'max_redirects' => 0, 'timeout' => $patience, 'max_duration' => $patience]);
    }

    /** Registered, with an empty workroom. */
    public static function newcomer(Server $server): self
    {
        $visitor = new self($server->base);
        $visitor->register(bin2hex(random_bytes(6)).'@example.org');

        return $visitor;
    }

    /** Registered, with a workroom that holds what the demo holds. */
    public static function withDemo(Server $server): self
    {
        $visitor = self::newcomer($server);
        $visitor->upload('/settings/import', 'document', 'w.json', $server->demo(), ['replace' => '1']);
        $visitor->page('/settings');

        return $visitor;
    }

    /** One of many, with a workroom that holds what the demo holds. */
    public static function oneOfMany(Server $server): self
    {
        $email = bin2hex(random_bytes(6)).'@example.org';
        $server->makeAccount($email, 'four quiet lockers');
        $visitor = new self($server->base);
        $visitor->page('/sign-in');
        $visitor->send('/sign-in', ['email' => $email, 'password' => 'four quiet lockers']);
        $visitor->page('/settings');

        return $visitor;
    }

    private function register(string $email): void
    {
        $this->page('/register');
        $this->send('/register', ['name' => 'Maud', 'email' => $email, 'password' => 'four quiet lockers']);
        $this->page('/settings');
    }

    public function openDemo(): void
    {
        $this->page('/sign-in');
        $this->send('/demo', []);
        $this->page('/settings');
    }

    /** A page; its token goes with what is sent from now on. */
    public function page(string $path): Answer
    {
        $answer = $this->answer($this->ask('GET', $path));
        if (
            1 === preg_match('/<meta name="csrf" content="([^"]+)"/', $answer->content, $found)
            || 1 === preg_match('/name="_token" value="([^"]+)"/', $answer->content, $found)
        ) {
            $this->token = html_entity_decode($found[1]);
        }

        return $answer;
    }

    /** @param array<mixed> $fields */
    public function send(string $path, array $fields, ?string $token = null): Answer
    {
        $body = ['_token' => $token ?? $this->token] + $fields;

        return $this->answer(
            $this->ask('POST', $path, [
                'body' => http_build_query($body),
                'headers' => ['Content-Type' => 'application/x-www-form-urlencoded'],
            ]),
        );
    }

    /** @param array<string, string> $fields */
    public function upload(string $path, string $field, string $name, string $content, array $fields = []): Answer
    {
        $form = new FormDataPart(['_token' => $this->token, $field => new DataPart($content, $name, 'application/octet-stream')] + $fields);

        return $this->answer(
            $this->ask('POST', $path, ['body' => $form->bodyToString(), 'headers' => $form->getPreparedHeaders()->toArray()]),
        );
    }

    public function json(string $path, mixed $body, ?string $token = null): Answer
    {
        return $this->answer($this->ask('POST', $path, ['json' => $body, 'headers' => ['X-Token' => $token ?? $this->token]]));
    }

    /** @param array<string, mixed> $options */
    public function ask(string $method, string $path, array $options = []): ResponseInterface
    {
        $headers = [
            'Cookie: '
            .implode(
                '; ',
                array_map(
                    static fn (string $name, string $value): string => $name.'='.$value,
                    array_keys($this->cookies),
                    $this->cookies,
                ),
            ),
            'Origin: '.$this->base,
        ];
        foreach (\is_array($options['headers'] ?? null) ? $options['headers'] : [] as $name => $value) {
            $headers[] = \is_int($name) ? $value : $name.': '.(\is_scalar($value) ? $value : '');
        }

        return $this->http->request($method, $path, ['headers' => $headers] + $options);
    }

    /** Waits for it. Status 0 when nothing came. */
    public function answer(ResponseInterface $response): Answer
    {
        try {
            $status = $response->getStatusCode();
            $headers = $response->getHeaders(false);
            $content = $response->getContent(false);
        } catch (\Symfony\Contracts\HttpClient\Exception\TransportExceptionInterface $lost) {
            return new Answer(0, 0.0, $lost->getMessage(), '');
        }
        foreach ($headers['set-cookie'] ?? [] as $cookie) {
            [$name, $value] = explode('=', explode(';', $cookie)[0], 2) + ['', ''];
            $this->cookies[$name] = $value;
        }
        $spent = $response->getInfo('total_time');

        return new Answer($status, is_numeric($spent) ? (float) $spent : 0.0, $content, $headers['location'][0] ?? '');
    }
}
