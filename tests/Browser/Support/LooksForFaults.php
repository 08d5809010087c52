<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

/** Asks axe-core what is serious or critical on the page as it stands. */
trait LooksForFaults
{
    /** @return list<string> */
    protected function faults(Visit $visit, string $where): array
    {
        $driver = $visit->chrome->driver;
        // What fades in has its colours when it stands.
        $visit->wait(
            static fn (): bool => $driver->executeScript('return document.getAnimations().every((one) => one.playState !== "running")') === true,
            'It keeps moving.',
        );
        $driver->executeScript((string) file_get_contents(dirname(__DIR__, 3).'/node_modules/axe-core/axe.min.js'));
        $look = static fn (): array => $driver->executeAsyncScript('const done = arguments[arguments.length - 1]; axe.run(document, {resultTypes: ["violations"]}).then((result) => done(result.violations.filter((one) => ["serious", "critical"].includes(one.impact)).map((one) => one.id + ": " + one.nodes.slice(0, 3).map((node) => node.html.slice(0, 140) + " " + node.any.map((any) => any.message).join(" ")).join(" | "))))');
        $found = $look();
        if ($found !== []) {
            // What an answer that came meanwhile set fading is looked at again once it stands.
            $visit->wait(
                static fn (): bool => $driver->executeScript('return document.getAnimations().every((one) => one.playState !== "running")') === true,
                'It keeps moving.',
            );
            $found = $look();
        }

        return array_map(static fn (string $fault): string => "{$where}: {$fault}", $found);
    }
}
