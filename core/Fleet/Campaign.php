<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/** Between how many machines of a fleet are affected, those not looked at counted, and whether enough were looked at. */
final readonly class Campaign implements Computation
{
    public const LEVEL = 0.95;

    public function name(): string
    {
        return 'campaign';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $fleet = $fields->whole('fleet', ...Quantity::FleetSize->bounds());
        $looked = $fields->whole('looked', ...Quantity::FleetSize->bounds());
        $affected = $fields->whole('affected', ...Quantity::FleetSize->bounds());
        $level = $fields->numberOrNull('level', ...Quantity::SureLevel->bounds()) ?? self::LEVEL;
        $fields->done();
        $judged = $this->judge($fleet, $looked, $affected, $level);

        return [
            'least' => $judged->least,
            'most' => $judged->most,
            'settled' => $judged->settled(),
            'looks_to_settle' => $judged->looksToSettle($level),
            'because' => $judged->because(),
        ];
    }

    /**
     * @param  int  $fleet  machines it is about
     * @param  int  $looked  at
     * @param  int  $affected  of those looked at
     *
     * @throws InputError for a campaign over nothing, or counts that cannot be
     */
    public function judge(int $fleet, int $looked, int $affected, float $level = self::LEVEL): Affected
    {
        if ($fleet === 0) {
            throw InputError::at('fleet', 'A campaign over nothing: at least one machine is to be looked at.');
        }
        if ($looked > $fleet) {
            throw InputError::at('looked', "looked is {$looked}, and there are only {$fleet}.");
        }
        if ($affected > $looked) {
            throw InputError::at('affected', "affected is {$affected}, and only {$looked} were looked at.");
        }

        return Affected::of($fleet, $looked, $affected, $level);
    }
}
