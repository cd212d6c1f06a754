<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Api\Day;
use App\Money\MoneyForm;

final class ClaimRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tag' => ['required', 'string', 'max:20'],
            'job' => ['nullable', 'integer'],
            'against' => ['required', 'string', 'max:120'],
            'againstIs' => ['required', 'string', 'in:seller,maker,supplier'],
            'claims' => ['required', 'string', 'in:machine,part,money'],
            'what' => ['required', 'string', 'max:300'],
            'worth' => ['required', ...self::SUM],
            'effort' => ['nullable', ...self::SUM],
            'deadline' => ['nullable', new Day],
            'nextOn' => ['nullable', new Day],
            'video' => ['nullable', 'string', 'max:300', 'url:http,https'],
            'photographs' => ['sometimes', 'array', 'max:40'],
            'photographs.*' => ['integer'],
            'findings' => ['sometimes', 'array', 'max:60'],
            'findings.*' => ['integer'],
            'waits' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'tag.required' => 'Which machine? Its tag.',
            'against.required' => 'Of whom is it claimed?',
            'what.required' => 'What is claimed, and why?',
            'video.url' => 'The video’s address begins with https://.',
        ];
    }

    public function claimed(): Claimed
    {
        /** @var 'seller'|'maker'|'supplier' $is */
        $is = $this->string('againstIs')->toString();
        /** @var 'machine'|'part'|'money' $claims */
        $claims = $this->string('claims')->toString();
        $ids = fn (string $key): array => array_values(array_map(
            static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0,
            (array) $this->input($key, []),
        ));

        return new Claimed(
            $this->string('against')->trim()->toString(),
            $is,
            $claims,
            $this->string('what')->trim()->toString(),
            $this->sum('worth'),
            $this->sumOrNull('effort') ?? 0,
            $this->words('deadline'),
            $this->words('nextOn'),
            $this->words('video'),
            $ids('photographs'),
            $ids('findings'),
        );
    }
}
