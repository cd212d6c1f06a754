<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Foundation\Auth\User;
use Illuminate\Support\Carbon;

/**
 * Somebody who works here.
 *
 * @property int $id
 * @property string $login
 * @property string $name
 * @property Role $role
 * @property Carbon|null $left_at
 */
final class Person extends User
{
    protected $table = 'people';

    protected $guarded = [];

    protected $hidden = ['password'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'left_at' => 'datetime'];
    }
}
