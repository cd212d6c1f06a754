<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Support\Facades\DB;

/** Every setting as it stands in the database, read once. One of these lives as long as a request. */
final class Settings
{
    /** @var array<string, mixed>|null */
    private ?array $all = null;

    public function get(string $key): mixed
    {
        $this->all ??= array_map(
            static fn (mixed $json): mixed => is_string($json) ? json_decode($json, true) : null,
            DB::table('settings')->pluck('value', 'key')->all(),
        );

        return $this->all[$key] ?? null;
    }

    public function put(string $key, mixed $value): void
    {
        DB::table('settings')->upsert(['key' => $key, 'value' => json_encode($value)], ['key']);
        $this->all = null;
    }
}
