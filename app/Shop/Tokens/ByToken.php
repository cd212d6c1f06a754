<?php

declare(strict_types=1);

namespace App\Shop\Tokens;

use App\Shop\Ability;
use App\Shop\Person;
use Closure;
use Illuminate\Auth\Access\Response as Access;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * A script shows its token instead of logging in. Its request has no session, whatever cookies come along, and so no page that is
 * open somewhere can send it.
 */
final class ByToken
{
    private const AT = 'script';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $shown = $request->bearerToken();
        if ($shown === null) {
            return $next($request);
        }
        config(['session.driver' => 'array']);
        $request->cookies->replace([]);
        $token = Token::findToken($shown);
        $person = $token?->tokenable;
        if ($token === null || ! $person instanceof Person || $person->left_at !== null || ! $token->expires_at->isFuture()) {
            throw new AuthenticationException('This token is none, or is over. A lead makes a new one, under Shop.');
        }
        $request->attributes->set(self::AT, $token);
        Auth::setUser($person);
        if ($token->last_used_at === null || $token->last_used_at->diffInMinutes(now()) >= 1) {
            $token->forceFill(['last_used_at' => now()])->save();
        }

        return $next($request);
    }

    public static function is(Request $request): bool
    {
        return $request->attributes->get(self::AT) instanceof Token;
    }

    /** @return Access|null a refusal, where a script asks for what it was not given */
    public static function refuses(Request $request, Ability $ability): ?Access
    {
        $token = $request->attributes->get(self::AT);

        return $token instanceof Token && $token->cant($ability->value)
            ? Access::deny('This token was not given that right. A lead makes one that was, under Shop.')
            : null;
    }
}
