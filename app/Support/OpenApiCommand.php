<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Console\Command;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use ReflectionMethod;

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
        [$class, $method] = [...explode('@', $route->getActionName()), '__invoke'];
        $attributes = (new ReflectionMethod($class, $method))->getAttributes(Speaks::class);

        return $attributes === []
            ? throw new \LogicException($route->uri().' does not say what it speaks: add #[Speaks].')
            : $attributes[0]->newInstance();
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
            'parameters' => array_map(
                static fn (mixed $name): array => [
                    'name' => $name,
                    'in' => 'path',
                    'required' => true,
                    'schema' => ['type' => 'string'],
                ],
                $route->parameterNames(),
            ),
        ];
        if ($speaks->takes !== '') {
            $operation['requestBody'] = ['required' => true, 'content' => $json($speaks->takes)];
        }
        $operation['responses'] = [(string) $speaks->status => ['description' => 'Done', ...$content]] + [
            '422' => $problem('A field is not allowed as it is'),
            '404' => $problem('Not in this studio'),
            '409' => $problem('Changed by someone else since'),
        ];

        return $operation;
    }
}
