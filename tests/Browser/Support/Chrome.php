<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;

/** Headless Chromium under a ChromeDriver of its own. */
final class Chrome
{
    /** @var resource|null */
    private static $process;

    private static int $port = 0;

    /**
     * @param  bool  $softwareGl composites through software OpenGL, which the solid model needs; else without OpenGL, much faster on a
     *    machine with no graphics card
     */
    public static function open(int $width = 1280, int $height = 800, bool $softwareGl = true): RemoteWebDriver
    {
        self::startDriver();
        $options = new ChromeOptions;
        $profile = sys_get_temp_dir().'/isleward-chrome-'.getmypid().'-'.bin2hex(random_bytes(4));
        $options->addArguments([
            '--headless=new', '--no-sandbox',
            ...($softwareGl ? ['--use-angle=swiftshader', '--enable-unsafe-swiftshader'] : ['--disable-gpu']), '--disable-dev-shm-usage',
            '--disable-quic',
            '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--hide-scrollbars',
            '--force-device-scale-factor=1', "--user-data-dir=$profile", "--window-size=$width,$height",
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $driver = RemoteWebDriver::create('http://127.0.0.1:'.self::$port, $capabilities, 30000, 120000);
        (new ChromeDevToolsDriver($driver))->execute(
            'Emulation.setDeviceMetricsOverride',
            ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => false],
        );
        (new ChromeDevToolsDriver($driver))->execute(
            'Emulation.setEmulatedMedia',
            ['features' => [
                ['name' => 'prefers-reduced-motion', 'value' => 'reduce'],
                ['name' => 'prefers-color-scheme', 'value' => 'light'],
            ]],
        );

        return $driver;
    }

    private static function startDriver(): void
    {
        if (self::$process !== null) {
            return;
        }
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $name = $socket === false ? '127.0.0.1:9555' : (string) stream_socket_get_name($socket, false);
        self::$port = (int) substr($name, (int) strrpos($name, ':') + 1);
        if ($socket !== false) {
            fclose($socket);
        }
        $process = proc_open(
            ['chromedriver', '--port='.self::$port, '--log-level=SEVERE'],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        if ($process === false) {
            throw new \RuntimeException('chromedriver does not start.');
        }
        self::$process = $process;
        register_shutdown_function(static fn () => proc_terminate($process));
        for ($i = 0; $i < 100 && @fsockopen('127.0.0.1', self::$port) === false; $i++) {
            usleep(50_000);
        }
    }
}
