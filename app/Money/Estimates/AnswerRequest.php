<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Money\Messages\Message;
use App\Money\MoneyForm;
use Illuminate\Validation\Rule;
use OddBench\Money\OwnerSaid;

final class AnswerRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'answer' => ['required', 'string', Rule::enum(OwnerSaid::class)],
            'upTo' => ['nullable', ...self::SUM],
            'saidBy' => ['required', 'string', 'max:120'],
            'way' => ['required', 'string', Rule::in(Message::WAYS)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['saidBy.required' => 'Who said so?'];
    }
}
