<?php

declare(strict_types=1);

namespace App\Api;

use App\Http\Asked;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use LogicException;
use Nasturtium\Core\Choice;
use Nasturtium\Core\Formats\Readers\MusicFormats;
use Nasturtium\Core\Report\Document\JsonSchema;
use OpenApi\Generator;
use ReflectionClass;
use ReflectionMethod;
use ReflectionNamedType;

/**
 * The API's own description (OpenAPI 3.1). Addresses and answers come from the attributes of the controllers, what is asked
 * from the rules of the requests, the report from the classes of the core, and closed sets from their enums.
 */
final class Description
{
    private const SCHEMAS = '#/components/schemas/';

    /** Before every address. */
    private const PREFIX = '/api';

    /** What is answered when something is not done: `errors` has what is wrong, by the name of what was sent. */
    private const PROBLEM = [
        'type' => 'object',
        'properties' => [
            'message' => ['type' => 'string'],
            'errors' => ['type' => 'object', 'additionalProperties' => ['type' => 'array', 'items' => ['type' => 'string']]],
        ],
        'required' => ['message'],
    ];

    /** @var array<string, list<array<string, int|string|bool>>> sets that are chosen from, by the name of their enum */
    private array $choices = [];

    /** @var array<string, array<string, mixed>> what is asked, by the name of its request */
    private array $bodies = [];

    public function __construct(private readonly Router $router) {}

    /**
     * @return array<string, mixed>
     *
     * @throws LogicException when something is described twice, or refers to what is not there
     */
    public function make(): array
    {
        $scan = (new Generator())->setVersion('3.1.0')->generate([app_path()], validate: false);
        if ($scan === null) {
            throw new LogicException('nothing describes the API');
        }
        /** @var array{paths: array<string, array<string, array<string, mixed>>>, components: array{schemas: array<string, array<string, mixed>>}} $api */
        $api = json_decode($scan->toJson(), true, flags: JSON_THROW_ON_ERROR);
        foreach ($this->router->getRoutes()->getRoutes() as $route) {
            $path = '/'.$route->uri();
            $verb = strtolower($route->methods()[0]);
            if (isset($api['paths'][$path][$verb])) {
                $api['paths'][$path][$verb] = $this->asked($api['paths'][$path][$verb], $route, $verb);
            }
        }
        $api['servers'] = [['url' => self::PREFIX]];
        $api['paths'] = array_combine(array_map(static fn (string $path): string => substr($path, strlen(self::PREFIX)), array_keys($api['paths'])), $api['paths']);
        $api['components']['schemas'] = [
            ...array_map(self::whole(...), $api['components']['schemas']),
            ...JsonSchema::definitions(self::SCHEMAS),
            ...$this->bodies,
            'Problem' => self::PROBLEM,
        ];
        $enums = [];
        $api = $this->withEnums($api, $enums);
        $api['components']['schemas'] += $enums;
        $api['x-choices'] = $this->choices;
        $api['x-endings'] = MusicFormats::endings();
        ksort($api['components']['schemas']);
        self::holdReferences($api, $api['components']['schemas']);

        return $api;
    }

    /**
     * @param  array<string, mixed>  $operation
     * @return array<string, mixed> with what it asks for
     */
    private function asked(array $operation, Route $route, string $verb): array
    {
        $operation['responses']['default'] = ['description' => 'it was not done', 'content' => ['application/json' => ['schema' => ['$ref' => self::SCHEMAS.'Problem']]]];
        foreach ($this->parametersOf($route) as $class) {
            if (is_subclass_of($class, QueryParameter::class)) {
                $operation['parameters'][] = ['name' => $class::name(), 'in' => 'query', 'required' => false, 'schema' => ['type' => 'integer']];
            }
            if (! is_subclass_of($class, Asked::class)) {
                continue;
            }
            $body = BodySchema::of($class);
            $name = (new ReflectionClass($class))->getShortName();
            if ($verb === 'get') {
                foreach ($body['properties'] as $field => $schema) {
                    $operation['parameters'][] = ['name' => $field, 'in' => 'query', 'required' => in_array($field, $body['required'] ?? [], true), 'schema' => $schema];
                }
            } else {
                $operation['requestBody'] = [
                    'required' => isset($body['required']),
                    'content' => [BodySchema::hasFile($class) ? 'multipart/form-data' : 'application/json' => ['schema' => ['$ref' => self::SCHEMAS.$name]]],
                ];
                $this->bodies[$name] = $body;
            }
        }

        return $operation;
    }

    /**
     * An answer has all its fields.
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function whole(array $schema): array
    {
        return [...$schema, ...is_array($schema['properties'] ?? null) ? ['required' => array_keys($schema['properties'])] : []];
    }

    /** @return list<class-string> classes that the action of a route is given */
    private function parametersOf(Route $route): array
    {
        $action = $route->getAction('uses');
        if (! is_string($action)) {
            return [];
        }
        [$controller, $method] = explode('@', $action);
        $classes = [];
        foreach ((new ReflectionMethod($controller, $method))->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof ReflectionNamedType && class_exists($type->getName())) {
                $classes[] = $type->getName();
            }
        }

        return $classes;
    }

    /** @return array<string, int|string|bool> its value, its label, and what else is so or not: its public `is…` and `has…` */
    private static function choice(Choice $case): array
    {
        $facts = [];
        foreach ((new ReflectionClass($case))->getMethods(ReflectionMethod::IS_PUBLIC) as $method) {
            if (! $method->isStatic() && $method->getNumberOfParameters() === 0 && preg_match('/^(is|has)[A-Z]/', $method->getName()) === 1) {
                $facts[$method->getName()] = $method->invoke($case) === true;
            }
        }

        return ['value' => $case->value, 'label' => $case->label(), ...$facts];
    }

    /**
     * A type that is the name of an enum becomes a reference to it.
     *
     * @param  array<mixed>  $part
     * @param  array<string, mixed>  $enums  found so far, by name
     * @return array<mixed>
     */
    private function withEnums(array $part, array &$enums): array
    {
        $types = is_array($part['type'] ?? null) ? $part['type'] : [$part['type'] ?? null];
        foreach ($types as $type) {
            if (is_string($type) && is_subclass_of($type, \BackedEnum::class)) {
                $name = (new ReflectionClass($type))->getShortName();
                $schema = JsonSchema::ofEnum($type);
                if (($enums[$name] ?? $schema) !== $schema) {
                    throw new LogicException("two enums are called {$name}");
                }
                $enums[$name] = $schema;
                if (is_subclass_of($type, Choice::class)) {
                    $this->choices[$name] = array_map(self::choice(...), $type::cases());
                }
                $reference = ['$ref' => self::SCHEMAS.$name];
                unset($part['type'], $part['nullable']);

                return [...$part, ...in_array('null', $types, true) ? JsonSchema::orNull($reference) : $reference];
            }
        }
        foreach ($part as $key => $inside) {
            $part[$key] = is_array($inside) ? $this->withEnums($inside, $enums) : $inside;
        }

        return $part;
    }

    /**
     * @param  array<mixed>  $part
     * @param  array<string, mixed>  $schemas
     */
    private static function holdReferences(array $part, array $schemas): void
    {
        foreach ($part as $key => $inside) {
            if ($key === '$ref' && is_string($inside) && ! isset($schemas[substr($inside, strlen(self::SCHEMAS))])) {
                throw new LogicException("{$inside} is referred to and not described");
            }
            if (is_array($inside)) {
                self::holdReferences($inside, $schemas);
            }
        }
    }
}
