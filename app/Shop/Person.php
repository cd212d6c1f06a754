<?php

declare(strict_types=1);

namespace App\Shop;

use App\Shop\Tokens\Token;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Auth\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Laravel\Sanctum\HasApiTokens;

/**
 * Somebody who works here.
 *
 * @property int $id
 * @property string $login
 * @property string $name
 * @property Role $role
 * @property Carbon|null $left_at
 * @property string|null $code hash of the code a password is set with
 * @property Carbon|null $code_until
 * @property string|null $pin hash of six digits
 * @property Carbon|null $mains_until may work on mains up to this day
 * @property string|null $mains_by
 * @property string|null $calendar_secret hash of the secret in the address of their calendar
 * @property bool $sees_money what things cost and bring, though the role does not say so
 */
final class Person extends User
{
    /** @use HasApiTokens<Token> */
    use HasApiTokens;

    protected $table = 'people';

    protected $guarded = [];

    protected $attributes = ['sees_money' => false];

    protected $hidden = ['password', 'code', 'pin', 'calendar_secret'];

    /**
     * Puts who it was to rows of several kinds, each person read once; who asks is known already.
     *
     * @param  array<array-key, Model>  $rows  each with a person_id
     */
    public static function name(array $rows): void
    {
        $rows = array_filter($rows, static fn (Model $row): bool => ! $row->relationLoaded('person'));
        $here = Auth::user();
        $people = $here instanceof self ? [$here->id => $here] : [];
        $all = array_filter(array_map(static fn (Model $row): ?int => $row->getAttribute('person_id'), $rows));
        $unknown = array_diff($all, array_keys($people));
        $people += $unknown === [] ? [] : self::query()->whereIn('id', array_unique($unknown))->get()->keyBy('id')->all();
        foreach ($rows as $row) {
            $row->setRelation('person', $people[$row->getAttribute('person_id')] ?? null);
        }
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'role' => Role::class,
            'left_at' => 'datetime',
            'code_until' => 'datetime',
            'mains_until' => 'date',
            'sees_money' => 'boolean',
        ];
    }
}
