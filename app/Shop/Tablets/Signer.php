<?php

declare(strict_types=1);

namespace App\Shop\Tablets;

use App\Shop\Ability;
use App\Shop\Here;
use App\Shop\Person;
use App\Shop\Tokens\ByToken;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use OddBench\Input\InputError;

/**
 * Whose signature this is: of whoever is logged in on a device of their own; on a shared tablet of whoever's PIN is given, who need
 * not be the one that is logged in there.
 */
final readonly class Signer
{
    /** What a write that is signed takes besides its own fields. */
    public const RULES = ['signer' => ['nullable', 'integer', 'min:1'], 'pin' => ['nullable', 'string', 'max:12']];

    /**
     * @throws InputError at pin, when it is missing or wrong
     * @throws AuthorizationException when the signer may not
     */
    public function signs(Ability $ability, Request $request): Person
    {
        $signer = $this->who($request);
        Gate::forUser($signer)->authorize($ability);

        return $signer;
    }

    private function who(Request $request): Person
    {
        $here = Here::person();
        if (ByToken::is($request)) {
            throw new AuthorizationException('A script signs nothing. Somebody does, on the page.');
        }
        $other = $request->filled('signer') && $request->integer('signer') !== $here->id;
        $shared = $request->hasSession() && (new Sitting($request->session()))->isShared();
        if (! $shared && ! $other) {
            return $here;
        }
        if (! $request->filled('pin')) {
            throw InputError::at(
                'pin',
                'A signature on a tablet that others use takes the PIN of whoever signs: six digits, set under the own name.',
            );
        }

        return Pins::check(
            $other ? Person::query()->whereNull('left_at')->find($request->integer('signer')) : $here,
            $request->string('pin')->toString(),
        );
    }
}
