<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverDimension;

/** A headless Chromium of one's own: a ChromeDriver on a free loopback port, and a fresh profile. */
final class Chrome
{
    /** @var resource */
    private $process;

    private string $profile;

    public readonly RemoteWebDriver $driver;

    public function __construct(int $width, int $height, bool $touch = false)
    {
        $port = self::freePort();
        $process = proc_open(
            ['chromedriver', "--port={$port}", '--allowed-ips=127.0.0.1', '--log-level=SEVERE'],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        $this->process = is_resource($process) ? $process : throw new \RuntimeException('chromedriver did not start.');
        $this->profile = sys_get_temp_dir().'/sarcina-chrome-'.bin2hex(random_bytes(6));
        $options = new ChromeOptions;
        $options->addArguments([
            '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update',
            '--disable-sync', '--disable-dev-shm-usage', '--hide-scrollbars', '--lang=en-GB', "--user-data-dir={$this->profile}", "--window-size={$width},{$height}",
        ]);
        if ($touch) {
            $options->setExperimentalOption(
                'mobileEmulation',
                ['deviceMetrics' => ['width' => $width, 'height' => $height, 'pixelRatio' => 2.0, 'touch' => true]],
            );
        }
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $this->driver = self::connect("http://127.0.0.1:{$port}", $capabilities);
        if (! $touch) {
            // The window's own frame takes some of its size: ask until the page itself has it.
            $inner = $this->driver->executeScript('return [window.innerWidth, window.innerHeight]');
            $this->driver->manage()->window()->setSize(new WebDriverDimension($width + $width - $inner[0], $height + $height - $inner[1]));
        }
    }

    public function network(bool $isOffline): void
    {
        $tools = new ChromeDevToolsDriver($this->driver);
        $tools->execute('Network.enable');
        // What goes by way of the service worker would not be cut off.
        $tools->execute('Network.setBypassServiceWorker', ['bypass' => $isOffline]);
        $tools->execute(
            'Network.emulateNetworkConditions',
            ['offline' => $isOffline, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
        );
    }

    public function scheme(string $scheme): void
    {
        (new ChromeDevToolsDriver($this->driver))->execute(
            'Emulation.setEmulatedMedia',
            ['features' => [['name' => 'prefers-color-scheme', 'value' => $scheme]]],
        );
    }

    public function quit(): void
    {
        try {
            $this->driver->quit();
        } finally {
            proc_terminate($this->process);
            proc_close($this->process);
            exec('rm -rf '.escapeshellarg($this->profile));
        }
    }

    private static function connect(string $url, DesiredCapabilities $capabilities): RemoteWebDriver
    {
        $until = microtime(true) + 20;
        while (true) {
            $socket = @stream_socket_client(str_replace('http://', 'tcp://', $url), $code, $message, 1);
            if ($socket !== false) {
                fclose($socket);

                return RemoteWebDriver::create($url, $capabilities, 30_000, 90_000);
            }
            if (microtime(true) > $until) {
                throw new \RuntimeException("chromedriver does not listen: {$message}");
            }
            usleep(50_000);
        }
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('There is no free port.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }
}
