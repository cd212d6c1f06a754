<?php

declare(strict_types=1);

namespace App\Api;

use JsonSerializable;

/** What the API shows of something: its public properties, as they stand. */
abstract readonly class View implements JsonSerializable
{
    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return get_object_vars($this);
    }
}
