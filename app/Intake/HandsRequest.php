<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Form;

final class HandsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['on' => ['required', 'boolean']];
    }
}
