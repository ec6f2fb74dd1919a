<?php

declare(strict_types=1);

namespace App\Support;

use BackedEnum;
use Illuminate\Console\Command;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use Illuminate\Validation\Rules\Enum;
use ReflectionMethod;
use ReflectionNamedType;
use ReflectionProperty;

/** Makes docs/formats/openapi.json from the routes, their #[Speaks] and the published schema. */
final class OpenApiCommand extends Command
{
    protected $signature = 'crown:openapi {--check : only say whether the committed document is current}';

    protected $description = 'Write the API document from the code';

    public function handle(Router $router): int
    {
        $document = json_encode(
            $this->document($router),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
        $path = base_path('docs/formats/openapi.json');
        if ($this->option('check')) {
            if (! is_file($path) || file_get_contents($path) !== $document) {
                $this->error(
                    'docs/formats/openapi.json is not current. Run: php artisan crown:openapi && npm run schema',
                );

                return self::FAILURE;
            }

            return self::SUCCESS;
        }
        file_put_contents($path, $document);

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private function document(Router $router): array
    {
        $schema = str_replace(
            '#/$defs/',
            '#/components/schemas/',
            (string) file_get_contents(base_path('docs/formats/crown.schema.json')),
        );
        /** @var object{'$defs': \stdClass} $document */
        $document = json_decode($schema, false, 512, JSON_THROW_ON_ERROR);
        $defs = $document->{'$defs'};
        $paths = [];
        foreach ($router->getRoutes()->getRoutes() as $route) {
            if (! str_starts_with($route->uri(), 'api/')) {
                continue;
            }
            $speaks = $this->speaks($route);
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $paths['/'.$route->uri()][strtolower($method)] = $this->operation($route, $speaks);
            }
        }
        ksort($paths);

        return [
            'openapi' => '3.1.0',
            'info' => [
                'title' => 'Honest Crown',
                'version' => '1',
                'description' => 'The API of the application. Made from the code by "php artisan crown:openapi".',
            ],
            'paths' => $paths,
            'components' => ['schemas' => $defs],
        ];
    }

    private function speaks(Route $route): Speaks
    {
        $attributes = $this->action($route)->getAttributes(Speaks::class);

        return $attributes === []
            ? throw new \LogicException($route->uri().' does not say what it speaks: add #[Speaks].')
            : $attributes[0]->newInstance();
    }

    private function action(Route $route): ReflectionMethod
    {
        return new ReflectionMethod(...array_slice([...explode('@', $route->getActionName()), '__invoke'], 0, 2));
    }

    /** @return array<string, mixed> */
    private function operation(Route $route, Speaks $speaks): array
    {
        $json = static fn (string $name): array => [
            'application/json' => ['schema' => ['$ref' => '#/components/schemas/'.$name]],
        ];
        $problem = static fn (string $when): array => ['description' => $when, 'content' => $json('Problem')];
        $content = match ($speaks->answers) {
            '' => [],
            default => ['content' => $json($speaks->answers)],
        };
        $operation = [
            'operationId' => (string) $route->getName(),
            'summary' => $speaks->does,
            'parameters' => [...$this->inPath($route), ...$this->inQuery($route)],
        ];
        if ($speaks->takes !== '') {
            $operation['requestBody'] = [
                'required' => true,
                'content' => [$speaks->as => $json($speaks->takes)['application/json']],
            ];
        }
        $operation['responses'] = [(string) $speaks->status => ['description' => 'Done', ...$content]] + [
            '422' => $problem('A field is not allowed as it is'),
            '404' => $problem('Not in this studio'),
            '409' => $problem('Changed by someone else since'),
        ];

        return $operation;
    }

    /** @return list<array<string, mixed>> */
    private function inPath(Route $route): array
    {
        /** @var list<string> $names */
        $names = $route->parameterNames();
        /** @var array<string, string> $shapes */
        $shapes = $route->wheres;

        return array_map(
            static fn (string $name): array => [
                'name' => $name,
                'in' => 'path',
                'required' => true,
                'schema' => ['type' => str_contains($shapes[$name] ?? '', '[0-9]') ? 'integer' : 'string'],
            ],
            $names,
        );
    }

    /**
     * @return list<array<string, mixed>> what may be asked for in the address: the rules of a reading action's request
     */
    private function inQuery(Route $route): array
    {
        $parameters = [];
        foreach (in_array('GET', $route->methods(), true) ? $this->action($route)->getParameters() : [] as $taken) {
            $class = $taken->getType() instanceof ReflectionNamedType ? $taken->getType()->getName() : '';
            if (! is_subclass_of($class, FormRequest::class) || ! method_exists($class, 'rules')) {
                continue;
            }
            /** @var array<string, mixed> $rules */
            $rules = (new $class())->rules();
            foreach ($rules as $name => $rule) {
                $parameters[] = ['name' => $name, 'in' => 'query', 'schema' => self::schema($rule)];
            }
        }

        return $parameters;
    }

    /**
     * In an address everything is text; what the text must be is said beside it.
     *
     * @return array{type: string, description?: string}
     */
    private static function schema(mixed $rule): array
    {
        $words = [];
        foreach (is_array($rule) ? $rule : explode('|', is_string($rule) ? $rule : '') as $part) {
            if ($part instanceof Enum) {
                $cases = (new ReflectionProperty($part, 'type'))->getValue($part);
                $words[] = is_string($cases) && is_subclass_of($cases, BackedEnum::class)
                    ? implode(', ', array_column($cases::cases(), 'value'))
                    : '';
            } elseif (is_string($part) && str_starts_with($part, 'in:')) {
                $words[] = str_replace(',', ', ', substr($part, 3));
            } elseif (is_string($part) && ! in_array($part, ['nullable', 'string'], true)) {
                $words[] = str_replace([':', ','], [' ', ' to '], $part);
            }
        }

        return ['type' => 'string', ...$words === [] ? [] : ['description' => implode('; ', $words)]];
    }
}
