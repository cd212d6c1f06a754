<?php

declare(strict_types=1);

namespace App\Safety;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The one powered test a lead signed for under a red tag.
 *
 * @property int $id
 * @property string $test a check’s code
 * @property string $beside_the_switch
 * @property Carbon|null $done_at
 * @property string|null $result
 * @property-read Person $signedBy
 */
final class SupervisedTest extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['signed_at' => 'datetime', 'done_at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function signedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'signed_by');
    }
}
