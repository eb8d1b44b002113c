<?php

declare(strict_types=1);

namespace Tests\Standing\Support;

/** Speaks to a running server over HTTP as a browser would, with its cookies. */
final class Client
{
    private readonly \CurlHandle $curl;

    public function __construct(private readonly string $address)
    {
        $this->curl = curl_init() ?: throw new \RuntimeException('There is no curl.');
        curl_setopt_array(
            $this->curl,
            [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_HEADER => true, CURLOPT_TIMEOUT => 60],
        );
    }

    public function signIn(string $email = 'pilot@skerrow.example', string $password = 'harbour-light'): self
    {
        $this->ask('GET', '/api/session');
        [$status, , $body] = $this->ask('POST', '/api/session', ['email' => $email, 'password' => $password]);
        if ($status !== 200) {
            throw new \RuntimeException("Signing in: $status ".json_encode($body));
        }

        return $this;
    }

    /**
     * @param  array<array-key, mixed>|string|null  $body
     * @param  list<string>  $headers
     * @return array{int, array<string, string>, mixed, string} status (0 for no answer), headers, what the JSON says, the content
     */
    public function ask(string $method, string $path, array|string|null $body = null, array $headers = []): array
    {
        $token = '';
        foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) ?: [] as $line) {
            $parts = explode("\t", $line);
            $token = $parts[5] === 'XSRF-TOKEN' ? urldecode($parts[6]) : $token;
        }
        curl_setopt_array($this->curl, [
            CURLOPT_URL => $this->address.$path, CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_POSTFIELDS => is_string($body) ? $body : ($body === null ? '' : json_encode($body)),
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                'Content-Type: '.(is_string($body) ? 'application/octet-stream' : 'application/json'),
                "X-XSRF-TOKEN: $token", 'Expect:', ...$headers,
            ],
        ]);
        $answer = curl_exec($this->curl);
        if (! is_string($answer)) {
            return [0, [], null, ''];
        }
        $at = (int) curl_getinfo($this->curl, CURLINFO_HEADER_SIZE);
        $found = [];
        foreach (explode("\r\n", substr($answer, 0, $at)) as $line) {
            if (str_contains($line, ': ')) {
                [$name, $value] = explode(': ', $line, 2);
                $found[strtolower($name)] = $value;
            }
        }

        return [
            (int) curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE), $found, json_decode(substr($answer, $at), true),
            substr($answer, $at),
        ];
    }
}
