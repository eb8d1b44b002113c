<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\TestCase as Base;
use Illuminate\Testing\TestResponse;
use Tests\Support\Described;

abstract class TestCase extends Base
{
    /**
     * Every answer of the API, whatever the test asks for, is held to the API's description.
     *
     * @param  string  $method
     * @param  string  $uri
     * @param  array<array-key, mixed>  $parameters
     * @param  array<array-key, mixed>  $cookies
     * @param  array<array-key, mixed>  $files
     * @param  array<array-key, mixed>  $server
     * @param  string|null  $content
     */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null): TestResponse
    {
        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        if (str_starts_with((string) $uri, '/api/')) {
            self::assertNull(Described::only()->fault($method, (string) $uri, $response->baseResponse));
        }

        return $response;
    }
}
