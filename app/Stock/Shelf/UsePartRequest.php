<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\Form;

final class UsePartRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'part' => ['required', 'string', 'max:30'],
            'quantity' => ['required', 'integer', 'min:1', 'max:10000'],
            'position' => ['nullable', 'string', 'max:60'],
            'reason' => ['nullable', 'string', 'max:200'],
            'upgrade' => ['sometimes', 'boolean'],
            'allTheSame' => ['sometimes', 'boolean'],
            'askedFor' => ['sometimes', 'boolean'],
            'oldBecame' => ['nullable', 'string', 'in:scrap,spare,seller,lost'],
            'oldGrade' => ['nullable', 'string', 'in:tested,untested'],
            'oldEnded' => ['nullable', 'string', 'in:failed,worked'],
            'hadHours' => ['nullable', 'numeric', 'min:0', 'max:200000'],
        ];
    }
}
