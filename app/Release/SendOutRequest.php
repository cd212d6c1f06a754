<?php

declare(strict_types=1);

namespace App\Release;

use App\Api\Form;
use App\Shop\Tablets\Signer;
use Illuminate\Validation\Rule;
use OddBench\Release\Destination;
use OddBench\Release\Grade;

final class SendOutRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'to' => ['required', 'string', Rule::enum(Destination::class)],
            'note' => ['nullable', 'string', 'max:1000'],
            'danger' => ['nullable', 'string', 'max:1000'],
            'priceMinor' => ['nullable', 'integer', 'min:0', 'max:100000000'],
            'warrantyDays' => ['nullable', 'integer', 'between:0,1825'],
            'warrantyHours' => ['nullable', 'integer', 'between:1,20000'],
            'shortcomings' => ['nullable', 'string', 'max:500'],
            'grade' => ['nullable', 'string', Rule::enum(Grade::class)],
            'gradeBecause' => ['nullable', 'string', 'max:300'],
            'version' => ['required', 'integer'],
            ...Signer::RULES,
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'priceMinor.min' => 'The price cannot be below zero.',
            'warrantyDays.between' => 'The warranty of the repair lasts 0 to 1825 days; 0 for none.',
            'warrantyHours.between' => 'The warranty of the repair lasts 1 to 20,000 print hours; leave it empty when only the days count.',
        ];
    }

    public function terms(): Terms
    {
        return new Terms(
            $this->words('note'),
            $this->words('danger'),
            $this->wholeOrNull('priceMinor'),
            $this->wholeOrNull('warrantyDays') ?? 0,
            $this->wholeOrNull('warrantyHours'),
            $this->words('shortcomings'),
            $this->filled('grade') ? Grade::from($this->string('grade')->toString()) : null,
            $this->words('gradeBecause'),
        );
    }
}
