<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Api\Form;
use App\Money\Messages\Message;
use Illuminate\Validation\Rule;

final class RemindRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'afterDays' => ['required', 'integer'],
            'way' => ['required', 'string', Rule::in(Message::WAYS)],
            'text' => ['required', 'string', 'max:4000'],
        ];
    }
}
