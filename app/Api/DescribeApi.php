<?php

declare(strict_types=1);

namespace App\Api;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use OpenApi\Annotations\OpenApi;
use OpenApi\Generator;
use ReflectionClass;
use ReflectionMethod;
use ReflectionNamedType;
use ReflectionProperty;

/**
 * Describes the API as OpenAPI 3.1: the schemas come from the attributes on the views, the paths from the routes, the
 * bodies from the rules of the requests.
 */
final readonly class DescribeApi
{
    public function __construct(private Router $router)
    {
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            'openapi' => '3.1.0',
            'info' => [
                'title' => 'Odd Bench',
                'version' => '1',
                'description' => 'Writes carry the header Idempotency-Key with a UUID. Errors are application/problem+json.',
            ],
            'paths' => $this->paths(),
            'components' => ['schemas' => $this->schemas() + ['Problem' => self::problem()]],
        ];
    }

    /** @return array<string, mixed> */
    private function schemas(): array
    {
        $found = (new Generator)->setVersion('3.1.0')->generate([app_path()], validate: false);
        $document = $found instanceof OpenApi ? json_decode($found->toJson(), true) : [];
        $schemas = is_array($document) ? ($document['components']['schemas'] ?? []) : [];
        foreach ($schemas as $name => $schema) {
            // a view always carries all its properties; what may be empty is null
            $schemas[$name]['required'] = array_keys($schema['properties'] ?? []);
        }
        ksort($schemas);

        return $schemas;
    }

    /** @return array<string, array<string, mixed>> */
    private function paths(): array
    {
        $paths = [];
        foreach ($this->router->getRoutes()->getRoutes() as $route) {
            $uses = $route->getAction('uses');
            // a function among them is text as well once routes are kept worked out
            if (! str_starts_with($route->uri(), 'api/v1/') || ! is_string($uses)
                || preg_match('/^([\\\\\w]+)@(\w+)$/D', $uses, $named) !== 1) {
                continue;
            }
            [, $class, $method] = $named;
            $reflection = new ReflectionMethod($class, $method);
            foreach (array_diff($route->methods(), ['HEAD']) as $verb) {
                $paths['/'.substr($route->uri(), 7)][strtolower($verb)] = $this->operation($route, $reflection, $verb);
            }
        }
        ksort($paths);

        return $paths;
    }

    /** @return array<string, mixed> */
    private function operation(Route $route, ReflectionMethod $method, string $verb): array
    {
        $returns = $method->getReturnType();
        $view = $returns instanceof ReflectionNamedType ? (new ReflectionClass($returns->getName()))->getShortName() : 'Problem';
        $parameters = array_map(fn (string $name): array => [
            'name' => $name, 'in' => 'path', 'required' => true,
            'schema' => ['type' => isset($route->wheres[$name]) ? 'integer' : 'string'],
        ], $route->parameterNames());
        $rules = $this->rules($method);
        $file = TakesFile::on($method);
        $operation = ['operationId' => lcfirst((string) preg_replace(
            '/Controller$/',
            '',
            $method->getDeclaringClass()->getShortName(),
        )).ucfirst($method->getName())];
        if ($file !== null) {
            array_push($parameters, ...$file->parameters());
            $operation['requestBody'] = $file->body();
        }
        if ($file !== null || $verb === 'GET' || ($verb === 'DELETE' && ($rules['required'] ?? []) === [])) {
            foreach ($rules['properties'] ?? [] as $name => $schema) {
                $parameters[] = [
                    'name' => $name,
                    'in' => 'query',
                    'required' => in_array($name, $rules['required'], true),
                    'schema' => $schema,
                ];
            }
        } elseif ($rules !== null) {
            $operation['requestBody'] = ['required' => true, 'content' => ['application/json' => ['schema' => $rules]]];
        }
        if ($parameters !== []) {
            $operation['parameters'] = $parameters;
        }
        $operation['responses'] = [
            '200' => [
                'description' => 'Done',
                'content' => ['application/json' => ['schema' => ['$ref' => "#/components/schemas/{$view}"]]],
            ],
            'default' => [
                'description' => 'Refused',
                'content' => ['application/problem+json' => ['schema' => ['$ref' => '#/components/schemas/Problem']]],
            ],
        ];

        return $operation;
    }

    /** @return array{type: string, properties: array<string, mixed>, required: list<string>}|null */
    private function rules(ReflectionMethod $method): ?array
    {
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof ReflectionNamedType && is_subclass_of($type->getName(), FormRequest::class)) {
                $request = new ($type->getName());
                /** @var array<string, list<mixed>> $rules */
                $rules = method_exists($request, 'rules') ? $request->rules() : [];

                return $this->body($rules);
            }
        }

        return null;
    }

    /**
     * @param  array<string, list<mixed>>  $rules
     * @return array{type: string, properties: array<string, mixed>, required: list<string>}
     */
    private function body(array $rules): array
    {
        $properties = $required = [];
        foreach ($rules as $field => $its) {
            if (str_contains($field, '.')) {
                continue;
            }
            $schema = $this->field($its);
            if ($schema['type'] === 'array') {
                $of = [];
                foreach ($rules as $name => $inner) {
                    if (str_starts_with($name, "{$field}.*.")) {
                        $of[substr($name, strlen("{$field}.*."))] = $inner;
                    }
                }
                if ($of !== []) {
                    $properties[$field] = ['type' => 'array', 'items' => $this->body($of)];

                    continue;
                }
                $own = self::named($rules, $field);
                if ($own !== []) {
                    $properties[$field] = $this->body($own);
                    if (in_array('required', $its, true)) {
                        $required[] = $field;
                    }

                    continue;
                }
                $item = $this->field($rules["{$field}.*"] ?? ['string']);
                $map = $item['type'] === 'boolean' || array_filter($its, static fn (mixed $rule): bool => $rule instanceof IsMap) !== [];
                if (in_array('nullable', $rules["{$field}.*"] ?? [], true)) {
                    $item['type'] = [$item['type'], 'null'];
                }
                $schema = $map ? ['type' => 'object', 'additionalProperties' => $item] : ['type' => 'array', 'items' => $item];
            }
            if (in_array('nullable', $its, true)) {
                $schema['type'] = [$schema['type'], 'null'];
            }
            $properties[$field] = $schema;
            if (in_array('required', $its, true) && ! in_array('sometimes', $its, true)) {
                $required[] = $field;
            }
        }

        return ['type' => 'object', 'properties' => $properties, 'required' => $required];
    }

    /**
     * What stands under names of its own within a field.
     *
     * @param  array<string, list<mixed>>  $rules
     * @return array<string, list<mixed>>
     */
    private static function named(array $rules, string $field): array
    {
        $own = [];
        foreach ($rules as $name => $inner) {
            if (str_starts_with($name, "{$field}.") && ! str_starts_with($name, "{$field}.*")) {
                $own[substr($name, strlen("{$field}."))] = $inner;
            }
        }

        return $own;
    }

    /**
     * @param  list<mixed>  $rules
     * @return array<string, mixed>
     */
    private function field(array $rules): array
    {
        $schema = ['type' => 'string'];
        foreach ($rules as $rule) {
            $schema = match (true) {
                $rule === 'integer' || $rule === 'integer:strict' => ['type' => 'integer'] + $schema,
                $rule === 'numeric' => ['type' => 'number'] + $schema,
                $rule === 'boolean' => ['type' => 'boolean'] + $schema,
                $rule === 'array' => ['type' => 'array'] + $schema,
                $rule instanceof Day => $schema + ['format' => 'date'],
                $rule instanceof Enum => $schema + ['enum' => $this->cases($rule)],
                $rule instanceof In => $schema + ['enum' => str_getcsv(substr((string) $rule, 3))],
                is_string($rule) && str_starts_with($rule, 'in:') => $schema + ['enum' => array_map(
                    in_array('integer', $rules, true) ? intval(...) : strval(...),
                    explode(',', substr($rule, 3)),
                )],
                default => $schema,
            };
        }

        return $schema;
    }

    /** @return list<string> */
    private function cases(Enum $rule): array
    {
        $enum = (new ReflectionProperty($rule, 'type'))->getValue($rule);

        return is_string($enum) && enum_exists($enum) ? array_map(
            static fn ($case): string => (string) ($case->value ?? $case->name),
            $enum::cases(),
        ) : [];
    }

    /** @return array<string, mixed> */
    private static function problem(): array
    {
        $text = ['type' => 'string'];

        return [
            'type' => 'object',
            'description' => 'RFC 9457',
            'properties' => [
                'type' => $text, 'title' => $text, 'status' => ['type' => 'integer'], 'detail' => $text,
                'errors' => [
                    'type' => 'array',
                    'items' => [
                        'type' => 'object',
                        'properties' => ['field' => $text, 'message' => $text],
                        'required' => ['field', 'message'],
                    ],
                ],
            ],
            'required' => ['type', 'title', 'status', 'detail', 'errors'],
        ];
    }
}
