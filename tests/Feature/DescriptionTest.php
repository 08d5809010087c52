<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Assess\Models\Assessment;
use App\Ledger\Models\Operation;
use App\Lists\Models\KitList;
use App\Support\Http\Description;
use Illuminate\Support\Facades\Route;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The API does what its description says, and the page's types are made from that. */
final class DescriptionTest extends TestCase
{
    public function test_the_page_was_built_from_this_description(): void
    {
        $this->assertSame(
            Description::json(),
            (string) file_get_contents(resource_path('js/api/openapi.json')),
            'Run artisan openapi:write, then npm run types.',
        );
        $made = (string) tempnam(sys_get_temp_dir(), 'types');
        exec(
            'cd '.escapeshellarg(base_path()).' && node_modules/.bin/openapi-typescript resources/js/api/openapi.json -o '.escapeshellarg($made).' 2>&1',
            $said,
            $exit,
        );
        $this->assertSame(0, $exit, implode("\n", $said));
        $this->assertSame((string) file_get_contents($made), (string) file_get_contents(resource_path('js/api/schema.d.ts')), 'Run npm run types.');
        unlink($made);
    }

    public function test_it_is_served_and_names_every_route(): void
    {
        $described = $this->actAs('member')->getJson('/api/openapi.json')->assertOk()->json();
        $this->assertSame('3.1.0', $described['openapi']);
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/') && ! in_array($route->getName(), ['openapi', 'api.none'], true)) {
                $routes[] = strtolower($route->methods()[0]).' '.substr($route->uri(), 3);
            }
        }
        $named = [];
        foreach ($described['paths'] as $path => $methods) {
            foreach (array_keys($methods) as $method) {
                $named[] = "{$method} {$path}";
            }
        }
        $this->assertEqualsCanonicalizing($routes, $named);
    }

    /** @return iterable<string, array{string, string}> */
    public static function reads(): iterable
    {
        foreach ([
            '/session' => '/session', '/today' => '/today', '/find?q=glo' => '/find', '/places' => '/places', '/items' => '/items', '/items/head-torch' => '/items/{item}', '/lists' => '/lists',
            '/designs' => '/designs', '/stores' => '/stores', '/kits/QH-07' => '/kits/{kit}', '/kits/QH-13' => '/kits/{kit}', '/kits/QH-03/history' => '/kits/{kit}/history',
            '/classes' => '/classes', '/exports/catalogue' => '/exports/{kind}', '/organisation' => '/organisation', '/assessments' => '/assessments', '/assessments/latest' => '/assessments/{assessment}', '/assessments/latest/file' => '/assessments/{assessment}/file',
            '/choices' => '/choices', '/asks' => '/asks', '/people' => '/people', '/cover' => '/cover', '/lists/new' => '/lists/{list}', '/lists/new/change' => '/lists/{list}/change', '/lists/new/comparison?subject=kit:QH-08' => '/lists/{list}/comparison',
            '/kits/QH-07/restock' => '/kits/{kit}/restock', '/checks/first' => '/checks/{check}', '/unsettled' => '/unsettled', '/floor' => '/floor', '/kits/QH-11/file' => '/kits/{kit}/file',
        ] as $address => $path) {
            yield $address => [$address, $path];
        }
    }

    #[DataProvider('reads')]
    public function test_an_answer_has_the_described_shape(string $address, string $path): void
    {
        $address = str_replace('/checks/first', '/checks/'.Operation::query()->where('kind', 'full_check')->firstOrFail()->id, $address);
        $address = str_replace(
            '/assessments/latest',
            '/assessments/'.Assessment::query()->orderBy('started_on', 'desc')->firstOrFail()->id,
            $address,
        );
        $address = str_replace(
            '/lists/new',
            '/lists/'.KitList::query()->where('code', 'bleeding-set')->where('edition', '2')->firstOrFail()->id,
            $address,
        );
        $answer = $this->actAs('lead')->getJson("/api{$address}")->assertOk();
        $document = Description::document();
        $schema = $document->paths->{$path}->get->responses->{'200'}->content->{'application/json'}->schema;
        // References point into the description, so the answer's schema is read as its root.
        $schema->components = $document->components;
        $result = (new Validator)->validate(json_decode($answer->getContent() ?: ''), $schema);
        $this->assertTrue($result->isValid(), $result->error() === null ? '' : (string) json_encode((new ErrorFormatter)->format($result->error())));
    }
}
