<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Form;

final class ListCountersRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'heldAs' => ['nullable', 'string', 'in:owner,farm,resale'],
            'after' => ['nullable', 'string', 'max:20'],
        ];
    }
}
