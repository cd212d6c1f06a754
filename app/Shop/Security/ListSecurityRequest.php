<?php

declare(strict_types=1);

namespace App\Shop\Security;

use App\Api\Form;

final class ListSecurityRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['before' => ['nullable', 'integer', 'min:1'], 'only' => ['nullable', 'string', 'in:refused']];
    }
}
