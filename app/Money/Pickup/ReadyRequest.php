<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Money\Messages\Message;
use App\Money\MoneyForm;
use Illuminate\Validation\Rule;

final class ReadyRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'way' => ['required', 'string', Rule::in(Message::WAYS)],
            'text' => ['required', 'string', 'max:4000'],
            'freeDays' => ['nullable', 'integer', 'between:0,3650'],
            'perDay' => ['nullable', ...self::SUM],
        ];
    }
}
