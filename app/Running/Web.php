<?php

declare(strict_types=1);

namespace App\Running;

/**
 * nginx in front of PHP-FPM. Edits and files that are read in have processes of their own, so that those who look never wait for those who
 * write. What nginx itself has to refuse is said as the application says it.
 */
final readonly class Web
{
    /**
     * Processes of PHP, and how far they stand back (nice) where the machine has too little for all: who looks goes before who writes,
     * and who writes before what is read in.
     */
    private const POOLS = ['web' => [4, 0], 'edits' => [4, 10], 'files' => [2, 15]];

    /** What goes to which, by method and address: an edit that is only tried holds nothing. */
    private const MAP = [
        '"~^POST /api/projects/[^/]+/uploads/"' => 'files',
        '"~^POST /api/projects/[^/]+/edits\?(.*&)?try=1"' => 'web',
        '"~^POST /api/projects/[^/]+/(edits|undo|redo|revisions)"' => 'edits',
    ];

    private const PROBLEMS = [
        400 => ['request.unreadable', 'This request could not be read.'],
        408 => ['request.too_slow', 'The request did not arrive in time: try again.'],
        413 => ['request.too_large', 'This is larger than anything that is read here: 32 MB at the most.'],
        414 => ['request.address_too_long', 'This address is longer than any that is known here.'],
        421 => ['request.host', 'Isleward is not served under this name.'],
        431 => ['request.headers_too_large', 'The headers of this request are larger than any that are needed here.'],
        500 => ['server.error', 'Something went wrong on our side. Look whether it was done before you do it again.'],
        503 => ['server.unavailable', 'Isleward is being started again. What you typed is kept; it is tried again by itself.'],
    ];

    private string $home;

    public function __construct(private Place $place)
    {
        $this->home = $place->home.'/web';
        foreach (glob("$this->home/*.sock") ?: [] as $old) {
            unlink($old);
        }
        @mkdir("$this->home/pages");
        foreach (self::PROBLEMS as $status => [$code, $sentence]) {
            $this->write(
                "pages/$status.json",
                json_encode(
                    ['type' => 'about:blank', 'title' => $sentence, 'status' => $status, 'code' => $code],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
                ),
            );
        }
        $this->write('pages/503.html', (string) file_get_contents($place->root.'/resources/views/unavailable.html'));
        $this->write('fpm.conf', $this->fpm());
        $this->write('nginx.conf', $this->nginx());
    }

    /** @return list<Service> */
    public function services(): array
    {
        // preloading is not for root
        $preload = $this->place->user === 'root' ? [] : [
            '-d', "opcache.preload={$this->place->root}/bin/preload.php", '-d',
            'opcache.preload_user='.$this->place->user,
        ];

        return [
            new Service('php', 'PHP', [
                'php-fpm8.2', '-F', '-R', '-y', "$this->home/fpm.conf", ...$preload,
            ], "$this->home/fpm.log", SIGQUIT, 1, 4.0,
                fn (): bool => array_filter(array_keys(self::POOLS), fn (string $pool): bool => ! $this->answers($pool)) === []),
            new Service(
                'nginx',
                'the web server',
                ['nginx', '-e', "$this->home/nginx.log", '-c', "$this->home/nginx.conf"],
                "$this->home/nginx.log",
                SIGTERM,
                1,
                4.0,
                fn (): bool => Place::taken($this->place->port, $this->place->host),
            ),
        ];
    }

    private function answers(string $pool): bool
    {
        $socket = @stream_socket_client("unix://$this->home/$pool.sock", $code, $message, 1.0);
        if ($socket !== false) {
            fclose($socket);
        }

        return $socket !== false;
    }

    private function write(string $name, string $content): void
    {
        if (@file_put_contents("$this->home/$name", $content) === false) {
            throw new Failure("$this->home/$name cannot be written.");
        }
    }

    private function fpm(): string
    {
        $out = "[global]\nerror_log = $this->home/fpm.log\ndaemonize = no\n";
        foreach (self::POOLS as $pool => [$processes, $niceness]) {
            $prepended = $niceness === 0 ? '' : $this->place->root.'/bin/stand-back.php';
            $out .= <<<EOF
                [$pool]
                user = {$this->place->user}
                group = {$this->place->group()}
                listen = $this->home/$pool.sock
                listen.mode = 0666
                pm = static
                pm.max_children = $processes
                clear_env = no
                catch_workers_output = yes
                env[ISLEWARD_NICENESS] = $niceness
                php_admin_value[auto_prepend_file] = $prepended
                php_admin_value[memory_limit] = 1G
                php_admin_value[post_max_size] = 32M
                php_admin_value[opcache.jit] = tracing
                php_admin_value[opcache.jit_buffer_size] = 128M
                php_admin_value[opcache.memory_consumption] = 192
                php_admin_value[opcache.max_accelerated_files] = 20000

                EOF;
        }

        return $out;
    }

    private function nginx(): string
    {
        $place = $this->place;
        $pools = $errors = '';
        foreach (self::MAP as $pattern => $pool) {
            $pools .= "        $pattern $pool;\n";
        }
        foreach (array_keys(self::PROBLEMS) as $status) {
            $errors .= '        '.match ($status) {
                431 => 'error_page 494 =431 /-pages/431.json;',
                503 => 'error_page 502 503 504 =503 /-pages/503$page;',
                default => "error_page $status /-pages/$status.json;",
            }."\n";
        }
        $names = implode(
            ' ',
            array_unique(['127.0.0.1', 'localhost', $place->host, (string) parse_url((string) getenv('APP_URL'), PHP_URL_HOST)]),
        );
        $listen = "$place->host:$place->port";
        $user = Place::weAreRoot() ? "user $place->user {$place->group()};" : '';
        $pages = <<<EOF
                location /-pages/ {
                    internal;
                    alias $this->home/pages/;
                    types { text/html html; }
                    default_type application/problem+json;
                    add_header X-Content-Type-Options nosniff always;
                    add_header Retry-After 2 always;
                    add_header Cache-Control no-store always;
                }
        EOF;

        return <<<EOF
        daemon off;
        $user
        pid $this->home/nginx.pid;
        error_log $this->home/nginx.log;
        worker_processes 2;
        events { worker_connections 512; }
        http {
            include /etc/nginx/mime.types;
            types { model/gltf-binary glb; }
            access_log off;
            client_body_temp_path $this->home/tmp/body;
            fastcgi_temp_path $this->home/tmp/fastcgi;
            proxy_temp_path $this->home/tmp/proxy;
            uwsgi_temp_path $this->home/tmp/uwsgi;
            scgi_temp_path $this->home/tmp/scgi;
            client_max_body_size 32m;
            client_header_timeout 20s;
            client_body_timeout 30s;
            large_client_header_buffers 4 512k;
            gzip on;
            gzip_comp_level 5;
            gzip_vary on;
            gzip_types application/json text/css application/javascript image/svg+xml model/gltf-binary;
            server_tokens off;
            map "\$request_method \$request_uri" \$pool {
                default web;
        $pools    }
            map \$request_uri \$page {
                default .html;
                "~^/api(/|\$)" .json;
            }
            map \$request_uri \$too_long {
                default 0;
                "~^.{8001}" 1;
            }
            server {
                listen $listen default_server;
                server_name _;
        $errors
                location / { return 421; }
        $pages
            }
            server {
                listen $listen;
                server_name $names;
                root $place->root/public;
                add_header X-Content-Type-Options nosniff;
        $errors
                location /build/ {
                    gzip_static on;
                    expires 1y;
                    add_header Cache-Control "public, immutable";
                    add_header X-Content-Type-Options nosniff;
                    try_files \$uri =404;
                }
                location / {
                    if (\$too_long) { return 414; }
                    try_files \$uri /index.php\$is_args\$args;
                }
                location = /index.php {
                    include /etc/nginx/fastcgi_params;
                    fastcgi_param HTTP_HOST \$host:\$server_port;
                    fastcgi_param SCRIPT_FILENAME $place->root/public/index.php;
                    fastcgi_buffers 64 64k;
                    fastcgi_buffer_size 64k;
                    fastcgi_read_timeout 120s;
                    fastcgi_pass unix:$this->home/\$pool.sock;
                }
        $pages
            }
        }

        EOF;
    }
}
