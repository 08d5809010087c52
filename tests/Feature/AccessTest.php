<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Lists\Models\KitList;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Router;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Walks every route of the API by every role. */
final class AccessTest extends TestCase
{
    private const OPEN = ['session.show', 'session.store', 'session.destroy', 'api.none', 'setup.show', 'setup.store', 'links.show', 'links.use', 'links.password', 'reports.open', 'reports.open.store'];

    private const ALL = ['lead', 'keeper', 'member', 'auditor'];

    /** Who may call what; a route that is not named here fails the test. */
    private const MAY = [
        'device-keys' => self::ALL, 'items.lots' => self::ALL, 'kits' => self::ALL, 'items.choices' => self::ALL, 'items.accepted' => self::ALL, 'notes' => self::ALL, 'checks.answer' => ['lead', 'keeper'], 'lists.choices' => self::ALL, 'stores.show' => self::ALL,
        'kits.coping' => self::ALL, 'designs.coping' => self::ALL, 'emergencies' => self::ALL, 'emergencies.keep' => ['lead'], 'emergencies.confirm' => ['lead'],
        'shifts' => self::ALL, 'shifts.keep' => ['lead'],
        'today' => self::ALL, 'take-along' => self::ALL, 'find' => self::ALL, 'places' => self::ALL, 'items' => self::ALL, 'items.show' => self::ALL, 'lists' => self::ALL, 'designs' => self::ALL,
        'stores' => self::ALL, 'kits.show' => self::ALL, 'kits.history' => self::ALL, 'checks.show' => self::ALL, 'floor' => self::ALL,
        'items.store' => ['lead'], 'items.change' => ['lead'], 'classes' => self::ALL, 'classes.name' => ['lead'], 'organisation' => self::ALL, 'organisation.change' => ['lead'],
        'lists.show' => self::ALL, 'lists.changes' => self::ALL, 'lists.comparison' => self::ALL,
        'lists.store' => ['lead'], 'lists.change' => ['lead'], 'lists.edition' => ['lead'], 'lists.compare' => ['lead'], 'lists.confirm' => ['lead'], 'lists.adopt' => ['lead'],
        'assessments' => self::ALL, 'assessments.show' => self::ALL, 'assessments.file' => self::ALL, 'choices' => self::ALL, 'asks' => self::ALL, 'cover' => self::ALL, 'areas.changes' => ['lead', 'keeper', 'member'],
        'assessments.store' => ['lead'], 'assessments.change' => ['lead'], 'areas.answer' => ['lead'], 'assessments.sign' => ['lead'], 'assessments.tasks' => ['lead'], 'areas.remove' => ['lead'],
        'areas.override' => ['lead'], 'choices.choose' => ['lead'], 'tasks.close' => ['lead', 'keeper'],
        // Names of people are for who plans alone.
        'people' => ['lead'], 'people.keep' => ['lead'], 'people.remove' => ['lead'], 'cover.need' => ['lead'],
        'exports' => ['lead', 'auditor'], 'imports.store' => ['lead'], 'imports.show' => ['lead'], 'imports.take' => ['lead'],
        'kits.file' => ['lead', 'auditor'], 'kits.adoption' => self::ALL, 'lists.preview' => ['lead'], 'previews' => self::ALL, 'modules' => self::ALL,
        'kits.adopt' => ['lead', 'keeper'], 'modules.store' => ['lead', 'keeper'], 'modules.destroy' => ['lead', 'keeper'],
        'kits.judgement' => ['lead', 'keeper'], 'checks.store' => ['lead', 'keeper'], 'kits.restock' => ['lead', 'keeper'], 'designs.policy' => ['lead'], 'reference' => ['lead'], 'reference.take' => ['lead'], 'device-keys.ended' => ['lead'], 'openapi' => self::ALL, 'picklist' => ['lead', 'keeper'], 'stores.levels' => self::ALL, 'stores.level' => ['lead'], 'tasks.give' => ['lead'], 'restocks.store' => ['lead', 'keeper'],
        'accounts' => ['lead'], 'accounts.invite' => ['lead'], 'accounts.withdraw' => ['lead'], 'accounts.change' => ['lead'], 'accounts.deactivate' => ['lead'],
        'accounts.activate' => ['lead'], 'accounts.factor' => ['lead'], 'mail' => ['lead'],
        'account' => self::ALL, 'account.password' => self::ALL, 'account.sessions' => self::ALL, 'account.factor.begin' => self::ALL, 'account.factor.set' => self::ALL, 'account.factor.remove' => self::ALL,
        'designs.layout' => self::ALL, 'designs.draft' => self::ALL, 'designs.pattern' => ['lead'], 'designs.foresight' => ['lead'], 'designs.effects' => ['lead'],
        // A keeper answers for the kit of the report that is asked about.
        'reports' => self::ALL, 'reports.store' => ['lead', 'keeper', 'member'], 'reports.reject' => ['lead', 'keeper'], 'reports.confirm' => ['lead', 'keeper'],
        'report-code' => ['lead'], 'report-code.make' => ['lead'], 'report-code.withdraw' => ['lead'], 'shortfalls' => self::ALL, 'shortfalls.answer' => ['lead', 'keeper'],
        'stores.proposed-levels' => self::ALL, 'staging.done' => ['lead', 'keeper'], 'loans' => self::ALL, 'loans.return' => ['lead', 'keeper'], 'loans.day' => ['lead', 'keeper'], 'how-many' => self::ALL,
        'rotation' => self::ALL, 'rotations.agree' => ['lead', 'keeper'], 'rotations.end' => ['lead', 'keeper'], 'rotations.carry-out' => ['lead', 'keeper'], 'rotations.drop' => ['lead', 'keeper'],
        'rounds' => self::ALL, 'rounds.show' => self::ALL, 'rounds.begin' => ['lead', 'keeper'], 'rounds.skip' => ['lead', 'keeper'], 'rounds.end' => ['lead', 'keeper'],
        'uses.store' => ['lead', 'keeper'], 'builds.plan' => ['lead', 'keeper'], 'builds.begin' => ['lead', 'keeper'], 'builds.leave' => ['lead', 'keeper'], 'builds.take' => ['lead', 'keeper'], 'builds.end' => ['lead', 'keeper'], 'builds.finish' => ['lead', 'keeper'],
        'kits.configuration' => self::ALL, 'kits.configure' => ['lead', 'keeper'], 'exceptions.make' => ['lead'], 'exceptions.end' => ['lead'], 'following' => self::ALL, 'designs.editions' => self::ALL, 'designs.beside' => self::ALL,
        'designs.begin' => ['lead'], 'missed.note' => ['lead'], 'missed.remove' => ['lead'], 'designs.end' => ['lead'], 'designs.merging' => ['lead'], 'designs.publish' => ['lead'], 'designs.retire' => ['lead'],
        'places.keep' => ['lead'], 'places.order' => ['lead'], 'places.retire' => ['lead'], 'places.merging' => ['lead'], 'places.merge' => ['lead'],
        'kits.codes' => ['lead'], 'kits.several' => ['lead'], 'kits.change' => ['lead'], 'kits.retire' => ['lead'],
        'stores.keep' => ['lead'], 'stores.retire' => ['lead'], 'stores.work' => ['lead', 'keeper'], 'stores.history' => self::ALL, 'to-buy' => self::ALL, 'dates-ahead' => self::ALL,
        'kit-tasks' => self::ALL, 'kit-tasks.give' => ['lead'], 'kit-tasks.close' => ['lead', 'keeper'], 'kits.responsible' => ['lead'], 'accounts.choices' => ['lead', 'keeper'],
        'kits.store' => ['lead'], 'operations.copy' => ['lead', 'auditor'], 'unsettled' => self::ALL, 'unsettled.settle' => ['lead', 'keeper'], 'seals.store' => ['lead', 'keeper'],
    ];

    /** @return iterable<string, array{string}> */
    public static function roles(): iterable
    {
        foreach (self::ALL as $role) {
            yield $role => [$role];
        }
    }

    #[DataProvider('roles')]
    public function test_every_route_by_a_role(string $role): void
    {
        $this->actAs($role);
        foreach ($this->guarded() as $route) {
            $status = $this->json($route->methods()[0], $this->address($route))->getStatusCode();
            $name = (string) $route->getName();
            $this->assertArrayHasKey($name, self::MAY, "Nobody said who may call {$name}.");
            if (in_array($role, self::MAY[$name], true)) {
                $this->assertNotContains($status, [401, 403, 404, 405, 500], "A {$role} should be let in to {$name}, but got {$status}.");
            } else {
                $this->assertSame(403, $status, "A {$role} should be kept out of {$name}.");
            }
        }
    }

    public function test_every_route_by_nobody(): void
    {
        foreach ($this->guarded() as $route) {
            $this->json($route->methods()[0], $this->address($route))->assertUnauthorized();
        }
    }

    public function test_every_route_names_what_its_caller_must_be_allowed(): void
    {
        $seen = [];
        foreach ($this->guarded() as $route) {
            $middleware = implode(' ', $route->gatherMiddleware());
            $this->assertStringContainsString('auth', $middleware, (string) $route->getName());
            $this->assertMatchesRegularExpression('/can:|Authorize:/', $middleware, (string) $route->getName());
            $seen[] = $route->getName();
        }
        $this->assertEqualsCanonicalizing(array_keys(self::MAY), $seen);
    }

    /** @return list<Route> */
    private function guarded(): array
    {
        return array_values(array_filter(
            Router::getRoutes()->getRoutes(),
            static fn (Route $route): bool => str_starts_with($route->uri(), 'api/') && ! in_array($route->getName(), self::OPEN, true),
        ));
    }

    private function address(Route $route): string
    {
        $check = \App\Ledger\Models\Operation::query()->where('kind', 'full_check')->firstOrFail();
        $unsettled = \App\Checks\Models\Unsettled::query()->create([
            'operation_id' => $this->ulid(), 'kit_id' => $this->kit('QH-01')->id, 'kind' => 'full_check',
            'because' => 'kit_retired', 'user_id' => $this->person('lead')->id,
            'done_at' => now()->utc()->format('Y-m-d H:i:s'), 'received_at' => now()->utc()->format('Y-m-d H:i:s'),
        ]);

        $assessment = \App\Assess\Models\Assessment::query()->orderBy('started_on', 'desc')->firstOrFail();
        (new \App\Assess\Models\PlanTask(['assessment_id' => $assessment->id, 'position' => 999, 'kind' => 'retire', 'state' => 'dropped']))->save();

        $import = new \App\Exchange\Models\Import([
            'kind' => 'catalogue', 'format' => 'csv', 'file_name' => 'x', 'source' => "code\n", 'state' => 'ready',
            'user_id' => $this->person('lead')->id, 'made_at' => now(),
        ]);
        $import->save();
        $edition = KitList::query()->where('code', 'bleeding-set')->where('edition', '2')->firstOrFail();
        $preview = \App\Lists\Models\EditionPreview::query()->create([
            'from_id' => $edition->supersedes_id, 'to_id' => $edition->id, 'user_id' => $this->person('lead')->id, 'kits' => 0, 'version' => 0,
            'operation' => 0, 'day' => now()->toDateString(), 'made_at' => now()->utc()->format('Y-m-d H:i:s'),
        ]);

        $task = \App\Tasks\Models\KitTask::query()->create([
            'kit_id' => $this->kit('QH-01')->id, 'kind' => 'check', 'user_id' => $this->person('keeper')->id, 'due_on' => now()->toDateString(),
            'given_by_id' => $this->person('lead')->id, 'given_on' => now()->toDateString(),
        ]);

        return '/'.strtr($route->uri(), [
            ...$this->ofDailyLoop(),
            '{device}' => $this->ulid(), '{user}' => $this->person('member')->id, '{store}' => \App\Stock\Models\Store::query()->firstOrFail()->id, '{kind}' => 'catalogue', '{import}' => $import->id, '{preview}' => $preview->id,
            '{code}' => 'eye', '{class}' => 'dressing', '{list}' => KitList::query()->where('code', 'bleeding-set')->where('edition', '2')->firstOrFail()->id, '{line}' => 'L1', '{wanted}' => 'medium', '{assessment}' => $assessment->id,
            '{area}' => $assessment->areas()->firstOrFail()->id, '{task}' => \App\Assess\Models\PlanTask::query()->firstOrFail()->id, '{person}' => \App\People\Models\FirstAider::query()->firstOrFail()->id,
            '{place}' => \App\Kits\Models\Place::query()->where('name', 'Upper floor gallery')->firstOrFail()->id, '{account}' => $this->person('member')->id, '{design}' => \App\Designs\Models\Design::query()->firstOrFail()->id, '{kitTask}' => $task->id, '{kit}' => 'QH-01', '{item}' => 'shears', '{check}' => $check->id, '{operation}' => $check->id, '{unsettled}' => (string) $unsettled->id, '{id}' => $this->ulid(),
        ]).($route->getName() === 'find' ? '?q=' : '');
    }

    /** @return array<string, string> */
    private function ofDailyLoop(): array
    {
        $kit = $this->kit('QH-10');
        $report = \App\Reports\Models\KitReport::query()->create(['id' => $this->ulid(), 'kit_id' => $kit->id, 'reported_at' => now()->utc()->format('Y-m-d H:i:s')]);
        $item = DB::table('items')->value('id');
        $shortfall = DB::table('shortfalls')->insertGetId([
            'operation_number' => DB::table('operations')->whereNotIn('number', DB::table('shortfalls')->select('operation_number'))->max('number'),
            'kit_id' => $this->kit('QH-01')->id, 'place_id' => $kit->place_id, 'day' => now()->toDateString(), 'item_id' => $item, 'pieces' => 1,
        ]);
        $lead = $this->person('lead')->id;
        $rotation = \App\Rotations\Models\Rotation::query()->create([
            'id' => $this->ulid(), 'made_by_id' => $lead, 'made_on' => now()->toDateString(), 'ended_on' => now()->toDateString(), 'saved' => 1, 'value' => 1,
        ]);
        $move = \App\Rotations\Models\RotationMove::query()->create([
            'id' => $this->ulid(), 'rotation_id' => $rotation->id, 'position' => 0, 'lot_id' => DB::table('lots')->value('id'),
            'from_kit_id' => $kit->id, 'to_kit_id' => $this->kit('QH-01')->id, 'quantity' => 1,
        ]);
        $round = \App\Rounds\Models\Round::query()->create([
            'id' => $this->ulid(), 'store_id' => $this->store()->id, 'made_by_id' => $lead, 'made_at' => now()->utc()->format('Y-m-d H:i:s'),
        ]);

        return [
            '{report}' => $report->id, '{shortfall}' => (string) $shortfall, '{loan}' => (string) DB::table('loans')->value('id'), '{rotation}' => $rotation->id,
            '{move}' => $move->id, '{round}' => $round->id,
        ];
    }
}
