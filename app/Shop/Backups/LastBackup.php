<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use App\Shop\Person;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Config;
use OddBench\Shop\BackupAge;

/** What everybody should know of a real shop’s backups; of a demo nobody keeps any. */
final readonly class LastBackup
{
    /** Said when the last one that was proved is too old, or stands on this machine alone though it should not. */
    public function words(): ?string
    {
        if (! Config::boolean('odd-bench.real')) {
            return null;
        }
        $good = Backup::query()->whereNotNull('proved_at')->orderByDesc('began_at')->first();
        $opened = Person::query()->min('created_at');
        $words = BackupAge::words(
            $good?->began_at->toDateTimeImmutable(),
            (is_string($opened) ? Carbon::parse($opened) : now())->toDateTimeImmutable(),
            now()->toDateTimeImmutable(),
        );

        return $words ?? $good?->problem;
    }
}
