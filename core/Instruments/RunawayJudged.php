<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** Whether the firmware stopped heating by itself while its heater was cooled. */
final readonly class RunawayJudged
{
    /**
     * @param  bool|null  $tripped  null where the log shows neither
     * @param  float|null  $trippedAfterS  s from leaving the band to the stop
     * @param  float|null  $dropC  how far it fell, °C
     * @param  'ok'|'out'|'danger'|'inconclusive'  $verdict
     * @param  string  $because  one sentence with its figures
     */
    public function __construct(
        public ?bool $tripped,
        public ?float $trippedAfterS,
        public ?float $dropC,
        public string $verdict,
        public string $because,
    ) {
    }
}
