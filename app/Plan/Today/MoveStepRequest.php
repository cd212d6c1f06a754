<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\Form;
use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Support\Carbon;

final class MoveStepRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'job' => ['required', 'integer'],
            'step' => ['required', 'string', 'max:200'],
            'person' => ['nullable', 'integer'],
            'notBefore' => ['bail', 'nullable', 'date', 'before:+1 year'],
        ];
    }

    public function job(): Job
    {
        return Job::query()->with('machine')->whereNull('finished_at')->findOrFail($this->integer('job'));
    }

    public function step(): string
    {
        return $this->string('step')->toString();
    }

    public function who(): ?Person
    {
        $id = $this->wholeOrNull('person');

        return $id === null ? null : Person::query()->whereNull('left_at')->findOrFail($id);
    }

    public function notBefore(): ?Carbon
    {
        $at = $this->words('notBefore');

        return $at === null ? null : Carbon::parse($at)->utc();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'step.required' => 'Which step? As the plan calls it.',
            'notBefore.before' => 'That is more than a year away. Give a day within the next twelve months.',
            'notBefore.date' => 'Not before when? Such as 2026-12-08T10:00:00+01:00.',
        ];
    }
}
