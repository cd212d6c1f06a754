<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Money\MoneyForm;
use App\Shop\Setting;
use OddBench\Money\BidStage;
use OddBench\Money\Price;

final class OfferRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'family' => ['required', 'string', 'max:40'],
            'seller' => ['required', 'string', 'max:120'],
            'says' => ['required', 'string', 'max:2000'],
            'findings' => ['present', 'array', 'max:40'],
            'findings.*' => ['string', 'max:60'],
            'missing' => ['nullable', 'string', 'max:300'],
            'asked' => ['nullable', ...self::SUM],
            'freight' => ['nullable', ...self::SUM],
            'missingCosts' => ['nullable', ...self::SUM],
            'selling' => ['nullable', ...self::SUM],
            'sells' => ['required', ...self::SUM],
            'single' => ['nullable', ...self::SUM],
            'parts' => ['required', ...self::SUM],
            'margin' => ['nullable', ...self::SUM],
            'stages' => ['required', 'array', 'min:1', 'max:12', 'list'],
            'stages.*.name' => ['required', 'string', 'max:120'],
            'stages.*.cost' => ['required', ...self::SUM],
            'stages.*.passesPct' => ['required', 'numeric', 'between:0,100'],
            'stages.*.fallback' => ['required', ...self::SUM],
            'stages.*.end' => ['required', 'string', 'max:40'],
            'belowParts' => ['sometimes', 'boolean'],
            'version' => ['sometimes', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'seller.required' => 'Who sells it?',
            'says.required' => 'What does the seller say of it? Their own words.',
            'sells.required' => 'What does it sell for when it is mended?',
            'parts.required' => 'What does it bring in parts?',
            'stages.required' => 'Say at least one test it has to pass.',
            'stages.*.passesPct.between' => 'A test passes in 0 to 100 of 100.',
            'stages.*.name.required' => 'What is tested?',
        ];
    }

    public function sheet(): Sheet
    {
        $stages = [];
        foreach (array_values((array) $this->input('stages')) as $i => $stage) {
            $stage = (array) $stage;
            $text = static fn (string $key): string => is_scalar($stage[$key] ?? null) ? trim((string) $stage[$key]) : '';
            $stages[] = new BidStage(
                $text('name'),
                Price::read($text('cost'), Setting::text('currency'), "stages.{$i}.cost"),
                round((float) $text('passesPct') / 100, 4),
                Price::read($text('fallback'), Setting::text('currency'), "stages.{$i}.fallback"),
                $text('end'),
            );
        }

        return new Sheet(
            $this->string('family')->toString(),
            $this->string('seller')->trim()->toString(),
            $this->string('says')->trim()->toString(),
            array_values(array_filter((array) $this->input('findings'), is_string(...))),
            $this->words('missing'),
            $this->sumOrNull('asked'),
            $this->sumOrNull('freight') ?? 0,
            $this->sumOrNull('missingCosts') ?? 0,
            $this->sumOrNull('selling') ?? 0,
            $this->sum('sells'),
            $this->sumOrNull('single'),
            $this->sum('parts'),
            $this->sumOrNull('margin') ?? 0,
            $stages,
        );
    }
}
