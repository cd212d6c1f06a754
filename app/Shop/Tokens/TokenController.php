<?php

declare(strict_types=1);

namespace App\Shop\Tokens;

use App\Api\DescribeApi;
use App\Api\OnceOnly;
use App\Shop\Ability;
use App\Shop\Person;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

final class TokenController
{
    public function index(): TokensView
    {
        Gate::authorize(Ability::RunShop);

        return $this->view(null);
    }

    public function store(TokenRequest $request): TokensView
    {
        Gate::authorize(Ability::RunShop);
        OnceOnly::showsOnce('token');
        $person = Person::query()->whereNull('left_at')->findOrFail($request->integer('person'));

        return $this->view($person->createToken(
            $request->string('name')->trim()->toString(),
            $request->rights(),
            now()->addDays($request->integer('days')),
        )->plainTextToken);
    }

    public function revoke(int $token): TokensView
    {
        Gate::authorize(Ability::RunShop);
        Token::query()->findOrFail($token)->delete();

        return $this->view(null);
    }

    /** The API as OpenAPI 3.1, for whoever writes a script. */
    public function description(DescribeApi $api): JsonResponse
    {
        return new JsonResponse($api->document(), 200, [], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    private function view(?string $fresh): TokensView
    {
        return new TokensView(
            array_values(Token::query()->with('tokenable')->orderByDesc('id')->get()
                ->map(static fn (Token $token): TokenLine => new TokenLine(
                    $token->id,
                    $token->name,
                    $token->tokenable instanceof Person ? $token->tokenable->name : '',
                    $token->abilities,
                    $token->expires_at->toIso8601String(),
                    $token->last_used_at?->toIso8601String(),
                ))->all()),
            array_column(TokenRequest::MAY, 'value'),
            $fresh,
        );
    }
}
