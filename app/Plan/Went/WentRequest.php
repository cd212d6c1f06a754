<?php

declare(strict_types=1);

namespace App\Plan\Went;

use App\Api\Day;
use App\Api\Form;

final class WentRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['from' => ['nullable', new Day], 'days' => ['nullable', 'integer', 'between:1,92']];
    }
}
