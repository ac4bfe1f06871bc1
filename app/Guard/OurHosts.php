<?php

declare(strict_types=1);

namespace App\Guard;

/** The hosts by which this installation may be called: the configured public address and this machine. */
final class OurHosts
{
    /** @return list<string> regular expressions */
    public static function patterns(): array
    {
        $public = parse_url(config()->string('app.url'), PHP_URL_HOST);

        return ['^'.preg_quote(is_string($public) ? $public : 'localhost').'$', '^127\.0\.0\.1$', '^localhost$'];
    }
}
