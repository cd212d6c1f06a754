<?php

declare(strict_types=1);

namespace App\Machines\Families;

use App\Api\Refused;
use App\Knowledge\Families\OwnFamily;
use App\Knowledge\KnowledgeFiles;
use App\Machines\Machine;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OddBench\Input\InputError;
use OddBench\Knowledge\BadKnowledge;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mistake;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** Keeps families a shop writes: each is tried with everything else that is known before it is kept. */
final readonly class KeepFamily
{
    private const UNKNOWN_LETTERS = 'XX';

    private const MOST_BYTES = 100_000;

    public function __construct(private KnowledgeFiles $files, private Knowledge $knowledge)
    {
    }

    /**
     * @param  array<mixed>  $content  as a family’s file holds it
     *
     * @throws ValidationException with the validator’s message at each field
     */
    public function keep(string $code, array $content, Person $by): void
    {
        $yaml = Yaml::dump(['code' => $code] + $content, 4, 2);
        if (strlen($yaml) > self::MOST_BYTES) {
            throw InputError::at('name', 'That is more than a family can be. Take away what machines of it do not have.');
        }
        // two who write families do so one after the other: no two have the same letters
        DB::select('SELECT pg_advisory_xact_lock(?)', [crc32('families')]);
        try {
            $this->files->readWith($code, $yaml);
        } catch (BadKnowledge $e) {
            throw ValidationException::withMessages($this->atFields($code, $e->mistakes));
        }
        OwnFamily::query()->updateOrCreate(['code' => $code], ['yaml' => $yaml, 'person_id' => $by->id]);
    }

    /**
     * @param  array<mixed>  $content
     * @return string the code it got
     *
     * @throws ValidationException
     */
    public function add(array $content, Person $by): string
    {
        $name = is_string($content['name'] ?? null) ? trim($content['name']) : '';
        if ($name === '') {
            throw InputError::at('name', 'What is the family called?');
        }
        $code = $this->freeCode($name);
        $this->keep($code, $content, $by);

        return $code;
    }

    /**
     * @return string its code
     *
     * @throws ValidationException|InputError at file
     */
    public function import(string $yaml, Person $by): string
    {
        if (strlen($yaml) > self::MOST_BYTES) {
            throw InputError::at('file', 'A family’s file is 100 kB at most.');
        }
        try {
            $content = Yaml::parse($yaml);
        } catch (ParseException $e) {
            throw InputError::at('file', 'This is no YAML: '.$e->getMessage());
        }
        $code = is_array($content) ? ($content['code'] ?? null) : null;
        if (! is_array($content) || ! is_string($code) || preg_match('/^[a-z0-9][a-z0-9-]{0,39}$/', $code) !== 1) {
            throw InputError::at('file', 'A family’s file begins with its code, such as code: tern-220.');
        }
        $this->keep($code, array_diff_key($content, ['code' => 0]), $by);

        return $code;
    }

    /**
     * A machine of no family that is written down: what somebody can see of it is enough to begin.
     *
     * @param  array<string, string>  $traits
     * @return string its code
     *
     * @throws ValidationException
     */
    public function unknown(?string $name, array $traits, Person $by): string
    {
        $number = OwnFamily::query()->where('code', 'like', 'unknown-%')->count() + 1;
        $code = $this->freeCode("unknown-{$number}");
        $this->keep($code, [
            'name' => $name ?? 'Unknown family '.substr($code, strlen('unknown-')),
            'letters' => self::UNKNOWN_LETTERS,
            'unknown' => true,
            'traits' => $traits,
            'positions' => [],
        ], $by);

        return $code;
    }

    /** A shipped one comes back as it was; one of the shop’s own goes, when no machine is of it. */
    public function drop(string $code): void
    {
        $own = OwnFamily::query()->find($code) ?? throw Refused::notFound('family', 'The shop has not written this family itself.');
        if (! $this->files->ships($code) && Machine::query()->where('family', $code)->exists()) {
            throw Refused::because('family', 'There are machines of this family. Give them another one first.');
        }
        $own->delete();
    }

    private function freeCode(string $name): string
    {
        $slug = substr(Str::slug($name), 0, 34) ?: 'family';
        $code = $slug;
        for ($i = 2; isset($this->knowledge->families[$code]) || OwnFamily::query()->whereKey($code)->exists(); $i++) {
            $code = str_starts_with($slug, 'unknown-') ? "unknown-{$i}" : "{$slug}-{$i}";
        }

        return $code;
    }

    /**
     * @param  list<Mistake>  $mistakes
     * @return array<string, list<string>>
     */
    private function atFields(string $code, array $mistakes): array
    {
        $fields = [];
        foreach ($mistakes as $mistake) {
            $field = $mistake->entry === $code || str_contains($mistake->field, '.')
                ? $mistake->field
                : "positions.{$mistake->entry}.{$mistake->field}";
            $fields[$field][] = ucfirst("{$mistake->field} {$mistake->message}.");
        }

        return $fields;
    }
}
