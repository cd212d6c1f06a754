<?php

declare(strict_types=1);

namespace App\Machines;

use Illuminate\Database\Eloquent\Model;

/**
 * Whose machine it is.
 *
 * @property int $id
 * @property string $name
 * @property string|null $contact
 */
final class Owner extends Model
{
    protected $guarded = [];
}
