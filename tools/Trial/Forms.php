<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** Every form with odd values; without its token, or with a wrong one, it is refused. */
final readonly class Forms implements Trial
{
    /** What would end the trial itself, or its account. */
    private const LEFT_ALONE = ['/sign-out', '/settings/delete', '/settings/password', '/settings/import'];

    public function name(): string
    {
        return 'forms';
    }

    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void
    {
        $visitor = Visitor::withDemo($server);
        $crawl = new Crawl();
        $forms = array_values(
            array_filter(
                $crawl->forms($crawl->pages($visitor)),
                static fn (array $form): bool => !\in_array($form[0], self::LEFT_ALONE, true),
            ),
        );
        $tally->figures[] = \count($forms).' forms';
        foreach ($forms as [$path, $names]) {
            foreach (['', 'made up'] as $token) {
                $tally->expect(403 === $visitor->send($path, array_fill_keys($names, 'x'), $token)->status, $path.' takes a wrong token');
            }
        }
        for ($i = $seed; [] !== $forms && $span->more(); ++$i) {
            $odd = new Odd($i);
            [$path, $names] = $odd->pick($forms);
            $fields = [];
            foreach ($names as $name) {
                if (0 !== $odd->number(0, 3)) {
                    $fields[$name] = $odd->text();
                }
            }
            parse_str(http_build_query($fields), $nested);
            $tally->answer($visitor->send($path, $nested), 'forms, seed '.$i.', '.$path);
            if (0 === $i % 7) {
                $query =
                    $odd->pick([
                        '/find?q=',
                        '/cloth?kind=',
                        '/cloth?length=',
                        '/patterns?words=',
                        '/cloth?page=',
                        '/read/length?text=',
                        '/table/new?size=',
                    ]).rawurlencode($odd->text());
                $tally->answer($visitor->page($query), 'forms, seed '.$i.', '.mb_substr($query, 0, 80));
            }
        }
        $export = $visitor->page('/settings/export');
        $tally->expect(200 === $export->status && null !== json_decode($export->content), 'afterwards the workroom cannot be exported');
    }
}
