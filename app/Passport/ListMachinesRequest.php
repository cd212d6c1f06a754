<?php

declare(strict_types=1);

namespace App\Passport;

use App\Api\Form;

final class ListMachinesRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'text' => ['nullable', 'string', 'max:100'],
            'family' => ['nullable', 'string', 'max:40'],
            'place' => ['nullable', 'string', 'in:bench,service,owner,sale,donor,scrap,unmended'],
            'after' => ['nullable', 'string', 'max:12'],
        ];
    }
}
