<?php

declare(strict_types=1);

namespace OddBench\Computation;

use Closure;
use OddBench\Input\InputError;
use OddBench\Input\JsonObject;
use Throwable;

/** What a script gets for its JSON: a result and 0, or the field that is wrong, why, and 2. Never anything else. */
final readonly class Answer
{
    private const FLAGS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    /** @param  Throwable|null  $fault  a mistake of ours that was in the way; nothing of it is told outside */
    private function __construct(public int $code, public string $json, public ?Throwable $fault = null)
    {
    }

    /**
     * @param  string  $text  one JSON object
     * @param  Closure(array<array-key, mixed>): array<array-key, mixed>  $opened  puts contents in the place of file names
     */
    public static function to(Catalogue $catalogue, string $name, string $text, Closure $opened): self
    {
        try {
            return new self(0, json_encode($catalogue->named($name)->compute($opened(JsonObject::decode($text))), self::FLAGS));
        } catch (InputError $e) {
            return self::refused($e->field, $e->getMessage());
        } catch (Throwable $e) {
            return self::refused(
                'input',
                'These figures lead where this computation has no answer. Look for one that was mistyped, or is in another unit.',
                $e,
            );
        }
    }

    private static function refused(string $field, string $message, ?Throwable $fault = null): self
    {
        return new self(
            2,
            (string) json_encode(
                ['error' => ['field' => $field, 'message' => $message]],
                self::FLAGS & ~JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
            ),
            $fault,
        );
    }
}
