<?php

declare(strict_types=1);

namespace Bench\Trial;

/** Many people asking one server at once, each answer going on to what was to be done with it. Sends to loopback only. */
final class Fleet
{
    private readonly \CurlMultiHandle $multi;

    /** @var array<int, array{\CurlHandle, Person, float, \Closure(Answer): void}> */
    private array $open = [];

    /** @var list<array{float, \Closure(): void}> */
    private array $later = [];

    public function __construct(private readonly string $address)
    {
        if (preg_match('#^http://127\.0\.0\.1:\d+$#D', $address) !== 1) {
            throw new \InvalidArgumentException('Only a server on this machine is tried.');
        }
        $this->multi = curl_multi_init();
    }

    /**
     * @param  array<array-key, mixed>|string|null  $body  an array as JSON, a text as it is
     * @param  \Closure(Answer): void  $then
     */
    public function ask(
        Person $person,
        string $method,
        string $path,
        array|string|null $body,
        \Closure $then,
        string $type = 'application/json',
    ): void {
        $curl = curl_init();
        $cookies = implode(
            '; ',
            array_map(static fn (string $n, string $v): string => "$n=$v", array_keys($person->cookies), $person->cookies),
        );
        curl_setopt_array($curl, [
            CURLOPT_URL => $this->address.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true,
            CURLOPT_TIMEOUT => 60, CURLOPT_PATH_AS_IS => true,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json', "Content-Type: $type", "Cookie: $cookies", 'Expect:',
                'X-XSRF-TOKEN: '.urldecode($person->cookies['XSRF-TOKEN'] ?? ''),
            ],
        ] + ($method === 'GET' ? [] : [CURLOPT_POSTFIELDS => is_array($body) ? json_encode($body, JSON_THROW_ON_ERROR) : (string) $body]));
        curl_multi_add_handle($this->multi, $curl);
        $this->open[spl_object_id($curl)] = [$curl, $person, microtime(true), $then];
    }

    /** @param  \Closure(): void  $do */
    public function later(float $seconds, \Closure $do): void
    {
        $this->later[] = [microtime(true) + $seconds, $do];
    }

    /**
     * Goes on until nothing is under way any more.
     *
     * @param  (\Closure(): void)|null  $meanwhile
     */
    public function run(?\Closure $meanwhile = null): void
    {
        while ($this->open !== [] || $this->later !== []) {
            curl_multi_exec($this->multi, $running);
            while (($done = curl_multi_info_read($this->multi)) !== false) {
                $this->answered($done['handle']);
            }
            $now = microtime(true);
            foreach ($this->later as $i => [$at, $do]) {
                if ($at <= $now) {
                    unset($this->later[$i]);
                    $do();
                }
            }
            $meanwhile === null ? null : $meanwhile();
            curl_multi_select($this->multi, 0.01) === -1 ? usleep(2000) : null;
        }
    }

    /** @return array{Answer} one that is waited for */
    public function now(
        Person $person,
        string $method,
        string $path,
        array|string|null $body = null,
        string $type = 'application/json',
    ): Answer {
        $got = null;
        $this->ask($person, $method, $path, $body, static function (Answer $a) use (&$got): void {
            $got = $a;
        }, $type);
        while ($got === null) {
            curl_multi_exec($this->multi, $running);
            while (($done = curl_multi_info_read($this->multi)) !== false) {
                $this->answered($done['handle']);
            }
            curl_multi_select($this->multi, 0.05) === -1 ? usleep(2000) : null;
        }

        return $got;
    }

    public function signIn(Person $person): void
    {
        $this->now($person, 'GET', '/api/session');
        $answer = $this->now($person, 'POST', '/api/session', ['email' => $person->email, 'password' => 'harbour-light']);
        if ($answer->status !== 200) {
            throw new \RuntimeException("$person->email cannot sign in: $answer->content");
        }
    }

    private function answered(\CurlHandle $curl): void
    {
        [, $person, $began, $then] = $this->open[spl_object_id($curl)];
        unset($this->open[spl_object_id($curl)]);
        $got = (string) curl_multi_getcontent($curl);
        $at = (int) curl_getinfo($curl, CURLINFO_HEADER_SIZE);
        preg_match_all('/^set-cookie:\s*([^=]+)=([^;]*)/mi', substr($got, 0, $at), $cookies, PREG_SET_ORDER);
        foreach ($cookies as [, $name, $value]) {
            $person->cookies[$name] = $value;
        }
        preg_match('/^content-type:\s*([^;\r\n]*)/mi', substr($got, 0, $at), $type);
        $status = curl_errno($curl) === 0 ? (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE) : 0;
        curl_multi_remove_handle($this->multi, $curl);
        $then(new Answer($status, substr($got, $at), microtime(true) - $began, $type[1] ?? ''));
    }
}
