<?php

declare(strict_types=1);

namespace App\Diagnosis\Complaint;

use App\Api\Form;

final class ReadComplaintRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['text' => ['required', 'string', 'max:2000'], 'family' => ['nullable', 'string', 'max:40']];
    }
}
