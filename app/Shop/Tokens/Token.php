<?php

declare(strict_types=1);

namespace App\Shop\Tokens;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * What a script shows instead of a password; only its hash is kept.
 *
 * @property int $id
 * @property string $name
 * @property list<string> $abilities
 * @property Carbon $expires_at
 * @property Carbon|null $last_used_at
 * @property-read Model|null $tokenable
 */
final class Token extends PersonalAccessToken
{
    protected $table = 'personal_access_tokens';
}
