<?php

declare(strict_types=1);

namespace Octavum\Page;

use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;

/** The page that a snag was cleared from, to come back to: a path of this application, in the field or query "back". */
final class ReturnPath
{
    /** A header may not be longer everywhere; nothing that is typed into a filter is. */
    private const LONGEST = 2000;

    public static function path(Request $request, string $field = 'back'): string
    {
        $back = $request->request->getString($field, $request->query->getString($field));

        return \strlen($back) <= self::LONGEST && 1 === preg_match('~^/(?![/\\\\])[\w/?=&#.%-]*$~D', $back) ? $back : '';
    }

    public static function to(Request $request, string $else): RedirectResponse
    {
        $back = self::path($request);

        return new RedirectResponse('' === $back ? $else : $back);
    }
}
