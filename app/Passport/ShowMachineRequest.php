<?php

declare(strict_types=1);

namespace App\Passport;

use App\Api\Form;

final class ShowMachineRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['olderThan' => ['sometimes', 'integer', 'min:1']];
    }
}
