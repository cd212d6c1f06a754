<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Api\Form;

final class ListOwnersRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['text' => ['nullable', 'string', 'max:160']];
    }
}
