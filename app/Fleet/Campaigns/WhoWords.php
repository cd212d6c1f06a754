<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Fleet\Farm\Rack;
use OddBench\Knowledge\Knowledge;

/** Whom a campaign is about, in words. */
final readonly class WhoWords
{
    private const HELD = ['owner' => 'owners’ machines', 'farm' => 'of the farm', 'resale' => 'for resale'];

    private const PLACES = ['bench' => 'on the bench', 'service' => 'in service', 'owner' => 'with their owners', 'sale' => 'for sale'];

    public function __construct(private Knowledge $knowledge)
    {
    }

    /** @param  array<string, mixed>  $who  as Who::kept gives it */
    public function of(array $who): string
    {
        $text = static fn (string $key): string => is_scalar($who[$key] ?? null) ? (string) $who[$key] : '';
        $families = array_map(
            fn (mixed $f): string => $this->knowledge->familyName(is_string($f) ? $f : ''),
            is_array($who['families'] ?? null) ? $who['families'] : [],
        );
        $hours = match (true) {
            isset($who['hoursFrom'], $who['hoursTo']) => "{$text('hoursFrom')} to {$text('hoursTo')} h",
            isset($who['hoursFrom']) => "from {$text('hoursFrom')} h on",
            isset($who['hoursTo']) => "up to {$text('hoursTo')} h",
            default => '',
        };

        $class = mb_strtolower($this->knowledge->partClasses[$text('class')] ?? $text('class'));

        return implode(', ', array_filter([
            implode(', ', $families),
            isset($who['class']) ? "all that have {$class}, whoever made them" : '',
            isset($who['part']) ? "with {$text('part')}".(isset($who['batch']) ? " of batch {$text('batch')}" : '') : '',
            $hours,
            self::HELD[$text('heldAs')] ?? '',
            self::PLACES[$text('place')] ?? '',
            isset($who['rack']) ? (Rack::query()->find((int) $text('rack'))->name ?? 'a rack that is gone') : '',
        ]));
    }
}
