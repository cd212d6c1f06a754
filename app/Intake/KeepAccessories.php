<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Intake\CameAlong;
use OddBench\Knowledge\Knowledge;

/** Writes down what came along with a machine, and what of it went back. */
final readonly class KeepAccessories
{
    public function __construct(private JobRecord $record, private Knowledge $knowledge)
    {
    }

    /**
     * @param  list<array{code?: string|null, name?: string|null, came: int, went?: int|null, staysBecause?: string|null}>  $list
     *   all there is
     */
    public function keep(Job $job, array $list, int $version, Person $by): Job
    {
        return $this->record->write($job, $by, $version, function (Job $job) use ($list): Said {
            $came = $this->write($job, $list);
            $out = array_map(static fn (CameAlong $a): string => "{$a->name} {$a->went} of {$a->came}", $came);

            return new Said('accessories', 'Came along, and out again: '.($out === [] ? 'nothing' : implode(', ', $out)));
        }, byHand: false);
    }

    /**
     * @param  list<array{code?: string|null, name?: string|null, came: int, went?: int|null, staysBecause?: string|null}>  $list
     * @return list<CameAlong>
     *
     * @throws InputError at the line that is wrong
     */
    public function write(Job $job, array $list): array
    {
        $rows = $came = [];
        foreach ($list as $i => $line) {
            $code = $line['code'] ?? null;
            $name = trim($code === null ? (string) ($line['name'] ?? '') : ($this->knowledge->accessories[$code]->name ?? ''));
            if ($name === '') {
                throw InputError::at(
                    "accessories.{$i}.name",
                    $code === null ? 'What is it called?' : "There is no accessory “{$code}”.",
                );
            }
            if (isset($rows[mb_strtolower($name)])) {
                throw InputError::at("accessories.{$i}.name", "{$name} stands there twice: write how many there are.");
            }
            try {
                $one = new CameAlong($name, $line['came'], $line['went'] ?? 0, $line['staysBecause'] ?? null);
            } catch (InputError $e) {
                throw InputError::at("accessories.{$i}.{$e->field}", $e->getMessage());
            }
            $came[] = $one;
            $rows[mb_strtolower($name)] = [
                'job_id' => $job->id,
                'code' => $code,
                'name' => $name,
                'came' => $one->came,
                'went' => $one->went,
                'stays_because' => $one->staysBecause,
            ];
        }
        Accessory::query()->where('job_id', $job->id)->delete();
        Accessory::query()->insert(array_values($rows));

        return $came;
    }
}
