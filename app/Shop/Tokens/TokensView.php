<?php

declare(strict_types=1);

namespace App\Shop\Tokens;

use App\Api\View;
use OpenApi\Attributes as OA;

/** The tokens scripts of this shop show. */
#[OA\Schema]
final readonly class TokensView extends View
{
    /**
     * @param  list<TokenLine>  $tokens
     * @param  list<string>  $rights
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: TokenLine::class))] public array $tokens,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what a script may be given')] public array $rights,
        #[OA\Property(description: 'the one that was just made; it is shown this once')] public ?string $token,
    ) {
    }
}
