<?php

declare(strict_types=1);

namespace Tests\Support;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\HttpFoundation\Response;

/**
 * Holds the API's answers to its description (`docs/openapi.json`, OpenAPI 3.1, whose schemas are JSON Schema 2020-12), read by
 * opis/json-schema.
 */
final class Described
{
    private const ID = 'https://isleward.test/openapi.json';

    private static ?self $only = null;

    private readonly Validator $validator;

    /** @var array<string, array<string, array{pattern: string, responses: array<array-key, mixed>}>> by method and path */
    private array $operations = [];

    private function __construct()
    {
        $text = (string) file_get_contents(dirname(__DIR__, 2).'/docs/openapi.json');
        $this->validator = new Validator(max_errors: 3);
        $this->validator->resolver()?->registerRaw(json_decode($text, false, 512, JSON_THROW_ON_ERROR), self::ID);
        foreach (json_decode($text, true, 512, JSON_THROW_ON_ERROR)['paths'] as $path => $methods) {
            foreach (array_intersect_key(
                $methods,
                ['get' => 1, 'post' => 1, 'put' => 1, 'patch' => 1, 'delete' => 1],
            ) as $method => $operation) {
                $pattern = '#^'.preg_replace('/\\\\\{[^}]+\\\\\}/', '[^/]+', preg_quote($path, '#')).'$#';
                $this->operations[$method][$path] = ['pattern' => $pattern, 'responses' => $operation['responses']];
            }
        }
    }

    public static function only(): self
    {
        return self::$only ??= new self;
    }

    /** What in an answer its description does not say, in a sentence; null when it is as described. */
    public function fault(string $method, string $uri, Response $response): ?string
    {
        $path = substr((string) strtok($uri, '?'), strlen('/api'));
        $status = (string) $response->getStatusCode();
        foreach ($this->operations[strtolower($method)] ?? [] as $name => ['pattern' => $pattern, 'responses' => $responses]) {
            if (preg_match($pattern, $path) === 1) {
                $key = isset($responses[$status]) ? $status : (isset($responses['default']) ? 'default' : null);
                $at = '/paths/'.self::pointer($name).'/'.strtolower($method).'/responses/'.$key;

                return $key === null
                                    ? "$method $name: $status is not described"
                                    : $this->content($at, $responses[$key], $response, "$method $name $status");
            }
        }

        return (int) $status >= 400 ? null : "$method $path is not described";
    }

    /**
     * What in an edit's arguments their description does not say; null when they are as described.
     *
     * @param  array<string, mixed>  $args
     */
    public function faultOfArguments(string $edit, array $args): ?string
    {
        $name = str_replace(' ', '', ucwords(strtr($edit, '.-', '  '))).'Args';
        $sent = json_decode(json_encode((object) $args, JSON_THROW_ON_ERROR), false, 512, JSON_THROW_ON_ERROR);
        $error = $this->validator->validate($sent, self::ID.'#/components/schemas/'.$name)->error();

        return $error === null ? null : $edit.': '.json_encode((new ErrorFormatter)->format($error), JSON_UNESCAPED_SLASHES);
    }

    /** @param  array<string, mixed>  $described */
    private function content(string $at, array $described, Response $response, string $what): ?string
    {
        if (isset($described['$ref'])) {
            $at = substr($described['$ref'], 1);
            $described = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/openapi.json'), true);
            foreach (explode('/', trim($at, '/')) as $step) {
                $described = $described[$step];
            }
        }
        $type = strtok((string) $response->headers->get('Content-Type'), ';');
        $content = $described['content'] ?? [];
        if ($content === []) {
            return (string) $response->getContent() === '' ? null : "$what: nothing was described, $type came";
        }
        if (! isset($content[$type])) {
            return "$what: $type came, described is ".implode(', ', array_keys($content));
        }
        if (! isset($content[$type]['schema']) || ! str_contains((string) $type, 'json')) {
            return null;
        }
        $body = json_decode((string) $response->getContent(), false, 512, JSON_THROW_ON_ERROR);
        $result = $this->validator->validate($body, self::ID.'#'.$at.'/content/'.self::pointer((string) $type).'/schema');

        return $result->error() === null
                    ? null
                    : $what.': '.json_encode((new ErrorFormatter)->format($result->error()), JSON_UNESCAPED_SLASHES);
    }

    private static function pointer(string $step): string
    {
        return rawurlencode(str_replace(['~', '/'], ['~0', '~1'], $step));
    }
}
