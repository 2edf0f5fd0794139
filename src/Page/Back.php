<?php

declare(strict_types=1);

namespace Octavum\Page;

use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;

/** The page that a snag was cleared from, to come back to: a path of this application, in the field or query "back". */
final class Back
{
    public static function path(Request $request): string
    {
        $back = $request->request->getString('back', $request->query->getString('back'));

        return 1 === preg_match('~^/(?![/\\\\])[\w/?=&#.%-]*$~D', $back) ? $back : '';
    }

    public static function to(Request $request, string $else): RedirectResponse
    {
        $back = self::path($request);

        return new RedirectResponse('' === $back ? $else : $back);
    }
}
