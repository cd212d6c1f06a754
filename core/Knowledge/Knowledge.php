<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

use OddBench\Input\InputError;

/** Everything the trade knows, by code. Made by KnowledgeReader from the knowledge files. */
final readonly class Knowledge
{
    /** Classes of part that are used up in the work and always there: no part anybody waits for or thinks twice about. */
    public const USED_UP = ['cleaning', 'desiccant', 'grease', 'paste', 'washer', 'screw', 'cable-tie', 'solder'];

    /**
     * @param  array<string, Finding>  $findings
     * @param  array<string, Fault>  $faults
     * @param  array<string, Check>  $checks
     * @param  array<string, Proof>  $proofs  in the order of their stages
     * @param  array<string, Family>  $families
     * @param  array<string, SafetyQuestion>  $safetyQuestions
     * @param  array<string, string>  $subsystems  code => name
     * @param  array<string, string>  $partClasses  code => name
     * @param  array<string, string>  $hazards  code => the caution that stands at the step
     * @param  array<string, Place>  $places
     * @param  array<string, InstrumentSheet>  $instruments
     * @param  array<string, string>  $settings  what trial prints vary: code => name and unit
     * @param  array<string, Guide>  $guides
     * @param  array<string, Wear>  $wear  by class of part
     * @param  array<string, ServiceItem>  $service
     * @param  array<string, Stocking>  $stocking  by class of part
     * @param  array<string, Accessory>  $accessories  what comes along with machines
     * @param  array<string, Material>  $materials  by code
     * @param  array<string, list<string>>  $alike  words that mean the same in a customer’s mouth, by a name
     * @param  array<string, float>  $prices  what a class of part usually costs, in bench minutes
     */
    public function __construct(
        public array $findings,
        public array $faults,
        public array $checks,
        public array $proofs,
        public array $families,
        public array $safetyQuestions,
        public array $subsystems,
        public array $partClasses,
        public array $hazards,
        public BenchFigures $bench,
        public array $places = [],
        public array $settings = [],
        public array $instruments = [],
        public array $guides = [],
        public array $wear = [],
        public array $service = [],
        public array $stocking = [],
        public array $accessories = [],
        public array $materials = [],
        public array $prices = [],
        public array $alike = [],
    ) {
    }

    /** Whether a machine with these traits has a place where the finding can be seen; what is told has no place. */
    public function hasPlaceFor(string $finding, Traits $traits): bool
    {
        $somewhere = false;
        foreach ($this->places as $place) {
            if (in_array($finding, $place->findings, true)) {
                if ($traits->allow($place->needs)) {
                    return true;
                }
                $somewhere = true;
            }
        }

        return ! $somewhere;
    }

    /** @throws InputError */
    public function finding(string $code, string $field = 'finding'): Finding
    {
        return $this->findings[$code] ?? throw InputError::unknown($field, 'finding', $code, array_keys($this->findings));
    }

    /** @throws InputError */
    public function fault(string $code, string $field = 'fault'): Fault
    {
        return $this->faults[$code] ?? throw InputError::unknown($field, 'fault', $code, array_keys($this->faults));
    }

    /** @throws InputError */
    public function check(string $code, string $field = 'check'): Check
    {
        return $this->checks[$code] ?? throw InputError::unknown($field, 'check', $code, array_keys($this->checks));
    }

    /** @throws InputError */
    public function family(string $code, string $field = 'family'): Family
    {
        return $this->families[$code] ?? throw InputError::unknown($field, 'family', $code, array_keys($this->families));
    }

    /** @throws InputError */
    public function proof(string $code, string $field = 'proof'): Proof
    {
        return $this->proofs[$code] ?? throw InputError::unknown($field, 'proof', $code, array_keys($this->proofs));
    }

    /** @throws InputError */
    public function guide(string $code, string $field = 'guide'): Guide
    {
        return $this->guides[$code] ?? throw InputError::unknown($field, 'guide', $code, array_keys($this->guides));
    }

    /**
     * The work that comes round on a family’s machines, in its own rhythm where it has one.
     *
     * @return list<ServiceItem>
     */
    public function serviceOf(string $family): array
    {
        $of = $this->families[$family] ?? null;
        $traits = Traits::of($of->traits ?? []);
        $items = array_filter($this->service, static fn (ServiceItem $item): bool => $traits->allow($item->needs));

        return array_values(array_map(static function (ServiceItem $item) use ($of): ServiceItem {
            $own = $of->service[$item->code] ?? null;

            return $own === null ? $item : new ServiceItem(
                $item->code,
                $item->name,
                $item->needs,
                $item->guide,
                $own['hours'],
                $own['months'],
                $item->minutes,
            );
        }, $items));
    }

    /** The name of a family; its code when it has left the knowledge. */
    public function familyName(string $code): string
    {
        return $this->families[$code]->name ?? $code;
    }

    /** The name of a fault; its code when it has left the knowledge. */
    public function faultName(string $code): string
    {
        return $this->faults[$code]->name ?? $code;
    }

    /** The name of a position, with what is put there when it is used up there; its code when it has left the knowledge. */
    public function positionName(string $family, string $code): string
    {
        $position = ($this->families[$family] ?? null)?->positions[$code] ?? null;

        if ($position === null) {
            return $code;
        }

        // what wears at a "Z screw" is its grease, not the screw
        return in_array($position->partClass, self::USED_UP, true) ? "{$position->name} ({$position->partClass})" : $position->name;
    }

    /**
     * A kind of part, by its code.
     *
     * @throws InputError at class, when there is none of that code
     */
    public function partClass(string $code): string
    {
        return isset($this->partClasses[$code])
            ? $code
            : throw InputError::unknown('class', 'part class', $code, array_keys($this->partClasses));
    }

    /** @throws InputError */
    public function material(string $code): Material
    {
        return $this->materials[strtoupper($code)] ?? throw InputError::unknown(
            'material',
            'material',
            $code,
            array_keys($this->materials),
        );
    }

    /** How a kind of part is kept; as usual where nothing is said of it. */
    public function stocking(string $partClass): Stocking
    {
        return $this->stocking[$partClass] ?? new Stocking($partClass, Stocking::USUAL, null);
    }

    /** Print hours a position usually lasts; nothing where hours do not wear it. */
    public function lifeHours(Position $position): ?float
    {
        return $position->lifeHours ?? ($this->wear[$position->partClass] ?? null)?->lifeHours;
    }
}
