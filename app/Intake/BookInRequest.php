<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Day;
use App\Api\Form;
use App\Api\IsMap;
use App\Machines\Owners\OwnerChoice;
use App\Shop\ShopDay;
use Closure;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;

final class BookInRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tag' => ['nullable', 'string', 'max:30'],
            'kind' => ['required', 'string', Rule::enum(JobKind::class)],
            'family' => ['required_without:tag', 'nullable', 'string', 'max:40'],
            'serial' => ['nullable', 'string', 'max:80'],
            'heldAs' => ['required_without:tag', 'nullable', 'string', Rule::in(['owner', 'farm', 'resale'])],
            ...OwnerChoice::RULES,
            'pricePaidMinor' => ['nullable', 'integer', 'min:0', 'max:100000000'],
            'hours' => ['nullable', 'numeric', 'min:0', 'max:200000'],
            'counterBeganAnew' => ['sometimes', 'boolean'],
            'complaint' => ['required', 'string', 'max:2000'],
            'told' => ['nullable', 'array', 'max:12'],
            'told.*' => ['required', 'string', 'max:60', 'distinct'],
            'screenSaid' => ['nullable', 'string', 'max:500'],
            'cameAlong' => ['nullable', 'string', 'max:500'],
            'began' => ['required', 'string', Rule::enum(Began::class)],
            'promisedFor' => ['nullable', new Day],
            ...AccessoriesRequest::RULES,
            'unknownTraits' => ['nullable', 'array', 'max:20', new IsMap],
            'unknownTraits.*' => ['string', 'max:40'],
            'unknownName' => ['nullable', 'string', 'max:80'],
        ];
    }

    /** @return list<string> findings that were pressed */
    public function told(): array
    {
        return array_values(array_filter((array) $this->validated('told'), is_string(...)));
    }

    /** @return list<Closure> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $day = $this->input('promisedFor');
            if (is_string($day) && ! $validator->errors()->has('promisedFor') && $day < app(ShopDay::class)->today()) {
                $validator->errors()->add('promisedFor', 'The promised day has passed already.');
            }
        }];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind.required' => 'What kind of job is it? Repair, service, upgrade, inspection or refurbish.',
            'family.required_without' => 'Scan or type the tag of a known machine, or choose the family of a new one.',
            'heldAs.required_without' => 'Whose is it: an owner’s, our own farm’s, or bought for resale?',
            'pricePaidMinor.min' => 'The price paid cannot be below zero.',
            'hours.min' => 'The hours cannot be below zero.',
            'complaint.required' => 'What is the complaint, in the customer’s words?',
            'began.required' => 'When did it begin? One press is enough, also for “nobody knows”.',
        ];
    }
}
