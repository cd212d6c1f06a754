<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Api\Form;

final class MergeRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['into' => ['required', 'integer', 'min:1']];
    }
}
