<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Form;

final class AccessoriesRequest extends Form
{
    /** What a request takes that says what came along. */
    public const RULES = [
        'accessories' => ['sometimes', 'array', 'max:40'],
        'accessories.*.code' => ['nullable', 'string', 'max:40'],
        'accessories.*.name' => ['nullable', 'string', 'max:80'],
        'accessories.*.came' => ['required', 'integer:strict', 'between:1,99'],
        'accessories.*.went' => ['nullable', 'integer:strict', 'between:0,99'],
        'accessories.*.staysBecause' => ['nullable', 'string', 'max:200'],
    ];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [...self::RULES, 'version' => ['required', 'integer']];
    }

    /** @return list<array{code?: string|null, name?: string|null, came: int, went?: int|null, staysBecause?: string|null}> */
    public static function list(Form $request): array
    {
        $list = array_filter((array) ($request->validated()['accessories'] ?? []), is_array(...));
        ksort($list);

        /** @var list<array{code?: string|null, name?: string|null, came: int, went?: int|null, staysBecause?: string|null}> */
        return array_values($list);
    }
}
