<?php

declare(strict_types=1);

namespace OddBench\Rig;

/** What somebody beside the printer sees. */
final readonly class Seen
{
    /**
     * @param  'none'|'straight'|'curls'|'nothing-comes-out'  $strand  of what was pushed last
     * @param  float  $fedShare  of the filament asked for that went in
     * @param  array<string, float>  $body  where each axis really stands
     */
    public function __construct(
        public string $strand,
        public float $fedShare,
        public bool $breakFanTurns,
        public array $body,
        public float $sinkC,
        public float $blockC,
    ) {
    }
}
