<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use Illuminate\Support\Facades\Config;

/**
 * The address at which an owner answers one estimate: made of the job, the number of the estimate and a seal of this shop’s key (80 bits
 * of HMAC-SHA-256), so that it is known before the letter goes and fits that estimate alone. It stands in the letter and nowhere else: not
 * on the label, not on the page behind it.
 */
final readonly class AnswerKey
{
    /** Days after which the address answers nothing any more. */
    public const DAYS = 30;

    private const SEAL = 20;

    public static function path(int $job, int $number): string
    {
        return "/o/answer/{$job}-{$number}-".self::seal($job, $number);
    }

    /** As a letter gives it. */
    public static function address(int $job, int $number): string
    {
        return (Config::string('odd-bench.public_url') ?: Config::string('app.url')).self::path($job, $number);
    }

    /** The estimate this address is of; nothing when it is of none. */
    public static function find(string $key): ?SentEstimate
    {
        if (preg_match('/^(\d{1,18})-(\d{1,9})-([0-9a-f]{'.self::SEAL.'})$/', strtolower($key), $of) !== 1) {
            return null;
        }
        if (! hash_equals(self::seal((int) $of[1], (int) $of[2]), $of[3])) {
            return null;
        }

        return SentEstimate::query()->with(['job.machine', 'answer'])->where(['job_id' => $of[1], 'number' => $of[2]])->first();
    }

    private static function seal(int $job, int $number): string
    {
        return substr(hash_hmac('sha256', "answer to estimate {$number} of job {$job}", Config::string('app.key')), 0, self::SEAL);
    }
}
