<?php

declare(strict_types=1);

namespace App\Knowledge\Families;

use Illuminate\Database\Eloquent\Model;

/**
 * A family as the shop has written it: it stands in place of a shipped one of the same code, or is one more.
 *
 * @property string $code
 * @property string $yaml
 * @property string|null $picture
 * @property int|null $person_id
 */
final class OwnFamily extends Model
{
    protected $table = 'families';

    protected $primaryKey = 'code';

    protected $keyType = 'string';

    public $incrementing = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.uP';
}
