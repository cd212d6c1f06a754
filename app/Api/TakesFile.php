<?php

declare(strict_types=1);

namespace App\Api;

use Attribute;
use Illuminate\Routing\Route;
use ReflectionMethod;

/** The body of an action is a file as it is: what reads the size of a body and what describes the API both go by this. */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class TakesFile
{
    public const ANYTHING = 32 * 1024 * 1024;

    public const PICTURE = 8 * 1024 * 1024;

    /**
     * @param  int  $most  bytes
     * @param  array<string, 'text'|'texts'>  $query  what stands beside the file, in the query: a text, or texts by name
     * @param  array<string, 'texts'>|null  $orJson  what the body may be instead: an object with these, any object where none are named
     */
    public function __construct(public int $most = self::ANYTHING, public array $query = [], public ?array $orJson = null)
    {
    }

    public static function by(?Route $route): ?self
    {
        $uses = $route?->getAction('uses');
        if (! is_string($uses) || ! str_contains($uses, '@')) {
            return null;
        }
        [$class, $method] = explode('@', $uses);

        return self::on(new ReflectionMethod($class, $method));
    }

    public static function on(ReflectionMethod $method): ?self
    {
        return ($method->getAttributes(self::class)[0] ?? null)?->newInstance();
    }

    /** @return list<array<string, mixed>> as parameters of OpenAPI */
    public function parameters(): array
    {
        $parameters = [];
        foreach ($this->query as $name => $kind) {
            $parameters[] = ['name' => $name, 'in' => 'query', 'required' => false, 'schema' => self::schema($kind)]
                + ($kind === 'texts' ? ['style' => 'deepObject', 'explode' => true] : []);
        }

        return $parameters;
    }

    /** @return array<string, mixed> as a body of OpenAPI */
    public function body(): array
    {
        $kind = $this->most === self::PICTURE ? 'image/*' : 'application/octet-stream';
        $content = [$kind => ['schema' => ['type' => 'string', 'format' => 'binary', 'maxLength' => $this->most]]];
        if ($this->orJson !== null) {
            $content['application/json'] = ['schema' => ['type' => 'object'] + ($this->orJson === [] ? ['additionalProperties' => true] : [
                'properties' => array_map(self::schema(...), $this->orJson),
                'required' => array_keys($this->orJson),
            ])];
        }

        return ['required' => true, 'content' => $content];
    }

    /** @return array<string, mixed> */
    private static function schema(string $kind): array
    {
        return $kind === 'texts' ? ['type' => 'object', 'additionalProperties' => ['type' => 'string']] : ['type' => 'string'];
    }
}
