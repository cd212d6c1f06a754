<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Api\Form;

final class OpenLookListRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['fault' => ['required', 'string', 'max:60']];
    }
}
