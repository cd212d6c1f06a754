<?php

declare(strict_types=1);

namespace App\Shop\Tokens;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/** A write comes from a page of the shop, or shows a token of its own, which no other page can. */
final class CheckPage extends ValidateCsrfToken
{
    protected function inExceptArray($request): bool
    {
        return ByToken::is($request) || parent::inExceptArray($request);
    }
}
