<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Makes a proof of its entry in a knowledge file. */
final class ProofReader
{
    /** A proof; what is wrong with it is noted at the entry. */
    public static function read(Entry $entry): Proof
    {
        $stage = Stage::tryFrom($entry->text('stage'));
        if ($stage === null) {
            $entry->wrong('stage', 'must be one of '.implode(', ', array_map(static fn (Stage $s): string => $s->value, Stage::cases())));
        }
        $unit = $entry->textOrNull('unit');
        $least = $entry->numberOrNull('least');
        $most = $entry->numberOrNull('most');
        if (($unit === null) !== ($least === null && $most === null)) {
            $entry->wrong('unit', 'and a limit (least or most) go together');
        }
        $log = $entry->textOrNull('log');
        $heater = $entry->textOrNull('heater') ?? 'hotend';
        if (! in_array($log, ['hold', 'runaway', null], true) || ! in_array($heater, ['hotend', 'bed'], true)) {
            $entry->wrong('log', 'is hold or runaway, of the heater hotend or bed');
            [$log, $heater] = [null, 'hotend'];
        }

        return new Proof(
            code: $entry->text('code'),
            name: $entry->text('name'),
            stage: $stage ?? Stage::Long,
            how: $entry->text('how'),
            because: $entry->text('because'),
            touched: $entry->codes('touched'),
            mended: $entry->codes('mended'),
            always: $entry->yes('always'),
            needs: $entry->needs(),
            unit: $unit,
            least: $least,
            most: $most,
            failsAs: $entry->textOrNull('fails_as'),
            caution: $entry->textOrNull('caution'),
            anyMend: $entry->yes('any_mend'),
            fitted: $entry->codes('fitted'),
            neverWaived: $entry->yes('never_waived'),
            log: $log,
            heater: $heater,
            everyMonths: $entry->numberOrNull('every_months'),
        );
    }
}
