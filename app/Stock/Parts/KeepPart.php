<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\DrawAnew;
use App\Api\KeptFile;
use App\Api\Refused;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\Fit;
use OddBench\Stock\SpareGrade;

/** Makes parts known and changes what is known of them. */
final readonly class KeepPart
{
    private const PHOTO_PX = 900;

    public function __construct(private Knowledge $knowledge, private DrawAnew $draw)
    {
    }

    public function add(string $number, string $name, string $class, string $bin, string $words = ''): Part
    {
        return Part::query()->create([
            'number' => $number,
            'name' => $name,
            'class' => $this->classOf($class),
            'bin' => mb_strtoupper($bin),
            'words' => $words,
        ]);
    }

    /**
     * @param  array<array-key, mixed>  $fits
     *
     * @throws Refused when somebody changed it meanwhile
     */
    public function change(
        Part $part,
        int $version,
        string $name,
        string $class,
        string $words,
        ?string $notes,
        array $fits,
        ?int $shelfLifeWeeks,
    ): void {
        DB::transaction(function () use ($part, $version, $name, $class, $words, $notes, $fits, $shelfLifeWeeks): void {
            $part = Part::query()->lockForUpdate()->findOrFail($part->id);
            if ($part->version !== $version) {
                throw Refused::because('version', 'Somebody changed this part meanwhile. Look at it again, then make your change.');
            }
            $part->update([
                'name' => $name,
                'class' => $this->classOf($class),
                'words' => $words,
                'notes' => $notes,
                'fits' => Fit::read($fits, $this->knowledge)->toArray(),
                'shelf_life_weeks' => $shelfLifeWeeks,
                'version' => $version + 1,
            ]);
            PartChoice::sorted();
        });
    }

    /** @throws InputError when it is the part itself */
    public function substitute(Part $part, Part $other, ?string $note): void
    {
        if ($part->is($other)) {
            throw InputError::at('other', 'A part does not stand in for itself.');
        }
        DB::table('part_substitutes')->upsert(
            [['part_id' => $part->id, 'substitute_id' => $other->id, 'note' => $note]],
            ['part_id', 'substitute_id'],
            ['note'],
        );
    }

    public function noSubstitute(Part $part, Part $other): void
    {
        DB::table('part_substitutes')->where(['part_id' => $part->id, 'substitute_id' => $other->id])->delete();
    }

    /**
     * From now on the other one is bought; what is left of this one is used up and counts with it.
     *
     * @throws InputError when it would follow itself
     */
    public function succeed(Part $part, ?Part $by): void
    {
        DB::transaction(static function () use ($part, $by): void {
            $part = Part::query()->lockForUpdate()->findOrFail($part->id);
            if ($part->grade !== 'new' || ($by !== null && $by->grade !== 'new')) {
                throw InputError::at('other', 'Used parts follow the part they are used ones of.');
            }
            for ($next = $by; $next !== null; $next = $next->successor) {
                if ($next->is($part)) {
                    throw InputError::at('other', "{$by?->name} was followed by this part itself.");
                }
            }
            $part->update(['successor_id' => $by?->id]);
            self::countAnew();
        });
    }

    /** The used part of a grade, made known when there is none yet. */
    public function usedOne(Part $of, SpareGrade $grade): Part
    {
        // under the lock of the new one, so that two who take spares at once make one number known
        $root = Part::query()->lockForUpdate()->findOrFail($of->used_of_id ?? $of->id);

        return Part::query()->where(['used_of_id' => $root->id, 'grade' => $grade->value])->first() ?? Part::query()->create([
            'number' => $grade->numberOf($root->number),
            'name' => "{$root->name}, {$grade->words()}",
            'class' => $root->class,
            'bin' => $root->bin,
            'words' => $root->words,
            'fits' => $root->fits,
            'used_of_id' => $root->id,
            'grade' => $grade->value,
            'counts_with_id' => $root->counts_with_id ?? $root->id,
        ]);
    }

    /** @throws InputError when it is no picture */
    public function photograph(Part $part, string $bytes): void
    {
        $jpeg = $this->draw->jpeg($bytes, 'photograph', self::PHOTO_PX);
        $path = 'parts/'.sha1($jpeg).'.jpg';
        KeptFile::put($path, $jpeg, 'photograph', 'photograph');
        $part->update(['photo' => $path]);
    }

    /** Each part with a successor, and each used one, counts with the last of its line. */
    private static function countAnew(): void
    {
        DB::statement(<<<'SQL'
            WITH RECURSIVE line (id, follows) AS (
                SELECT id, coalesce(successor_id, used_of_id) FROM parts WHERE coalesce(successor_id, used_of_id) IS NOT NULL
                UNION ALL
                SELECT l.id, coalesce(p.successor_id, p.used_of_id) FROM line l JOIN parts p ON p.id = l.follows WHERE coalesce(p.successor_id, p.used_of_id) IS NOT NULL
            ), ends AS (SELECT l.id, l.follows FROM line l JOIN parts p ON p.id = l.follows WHERE coalesce(p.successor_id, p.used_of_id) IS NULL)
            UPDATE parts SET counts_with_id = e.follows FROM parts q LEFT JOIN ends e ON e.id = q.id WHERE parts.id = q.id AND parts.counts_with_id IS DISTINCT FROM e.follows
            SQL);
    }

    private function classOf(string $class): string
    {
        return isset($this->knowledge->partClasses[$class]) ? $class : throw InputError::unknown(
            'class',
            'part class',
            $class,
            array_keys($this->knowledge->partClasses),
        );
    }
}
