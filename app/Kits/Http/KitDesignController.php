<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Designs\AdoptEdition;
use App\Designs\Http\DesignEditionRef;
use App\Designs\Models\DesignEdition;
use App\Designs\ReadAdoption;
use App\Judging\KitPlans;
use App\Kits\KeepExceptions;
use App\Kits\Models\Kit;
use App\Kits\MoveModule;
use App\Kits\ReadConfiguration;
use App\Kits\ReadKit;
use App\Kits\SetConfiguration;
use App\Lists\Http\KitEffect;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** Which edition of its design a kit keeps, and the modules in it. */
final class KitDesignController extends Controller
{
    #[OA\Get(path: '/modules', operationId: 'readModules', tags: ['kits'])]
    #[OA\Response(
        response: 200,
        description: 'Modules that are in no kit',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: LooseModule::class)),
    )]
    public function loose(): JsonResponse
    {
        return $this->json(array_values(Kit::byThemselves()->whereHas('edition.design', fn ($designs) => $designs->whereNotNull('serves'))
            ->with('place')->orderBy('code')->get()
            ->map(static fn (Kit $kit): LooseModule => new LooseModule($kit->code, $kit->name, $kit->place->path))->all()));
    }

    #[OA\Get(
        path: '/kits/{kit}/adoption',
        operationId: 'readAdoption',
        tags: ['kits'],
        description: 'What following another edition of its design, or another design, would add, move and remove.',
    )]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'edition', in: 'query', required: false, description: 'else the latest', schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What would change in it', content: new OA\JsonContent(ref: AdoptionResource::class))]
    #[OA\Response(response: 422, description: 'Not a published edition')]
    public function adoption(Request $request, Kit $kit, ReadAdoption $effect, KitPlans $plans): JsonResponse
    {
        $kept = $kit->edition;
        $wanted = $request->string('edition')->toString();
        $to = $wanted === ''
            ? $kept->design->latest
            : DesignEdition::query()->whereNotNull('published_at')->where('id', $wanted)->first();
        if ($to === null) {
            abort(422, 'There is no such edition of a design. Choose one that is published.');
        }

        return $this->json(new AdoptionResource(
            DesignEditionRef::of($kept),
            DesignEditionRef::of($to),
            KitEffect::of($kit, $effect($kit, $plans->another($kit, $to), $this->today())),
            $to->design_id === $kept->design_id ? null : $to->design->name,
        ));
    }

    #[OA\Post(
        path: '/kits/{kit}/adoption',
        operationId: 'adoptDesignEdition',
        tags: ['kits'],
        description: 'Has a kit follow an edition of its design, or of another one: a lead alone.',
    )]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: FollowedEdition::class))]
    #[OA\Response(response: 200, description: 'The kit, judged by it', content: new OA\JsonContent(ref: KitResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function adopt(FollowedEdition $request, Kit $kit, AdoptEdition $adopt, ReadKit $describe): JsonResponse
    {
        $edition = DesignEdition::query()->with('design')->where('id', $request->validated('edition'))->firstOrFail();
        if ($edition->design_id !== $kit->edition->design_id) {
            Gate::authorize('equip', Kit::class);
        }
        $adopt($kit, $edition, $this->user($request), now(), $this->today());

        return $this->json($describe($kit->fresh() ?? $kit, $this->today()));
    }

    #[OA\Get(path: '/kits/{kit}/configuration', operationId: 'readConfiguration', tags: ['kits'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'to', in: 'query', required: false, description: 'its name; else none', schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What setting the kit to it asks for', content: new OA\JsonContent(ref: ConfigurationEffect::class))]
    #[OA\Response(response: 422, description: 'There is no such configuration')]
    public function configuration(Request $request, Kit $kit, ReadConfiguration $read): JsonResponse
    {
        return $this->json($read($kit, $request->string('to')->value() ?: null, $this->today()));
    }

    #[OA\Put(path: '/kits/{kit}/configuration', operationId: 'setConfiguration', tags: ['kits'], description: 'Sets a kit to a mission or a season.')]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ChosenConfiguration::class))]
    #[OA\Response(response: 200, description: 'The kit, judged for it', content: new OA\JsonContent(ref: KitResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function configure(ChosenConfiguration $request, Kit $kit, SetConfiguration $set, ReadKit $describe): JsonResponse
    {
        $set($kit, $request->name(), $this->user($request), now(), $this->today());

        return $this->json($describe($kit->fresh() ?? $kit, $this->today()));
    }

    #[OA\Put(path: '/kits/{kit}/exceptions/{id}', operationId: 'makeException', tags: ['kits'], description: 'The id is a ULID made by the page.')]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: MadeException::class))]
    #[OA\Response(response: 204, description: 'It differs on purpose until then')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function except(MadeException $request, Kit $kit, string $id, KeepExceptions $keep): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $keep->make(
            $kit, Str::lower($id), $request->string('name')->value(), $request->string('reason')->value(), $request->string('ends_on')->value(),
            $this->user($request), $this->today(),
        );

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(path: '/kits/{kit}/exceptions/{id}', operationId: 'endException', tags: ['kits'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 204, description: 'It follows its design again')]
    public function endException(Request $request, Kit $kit, string $id, KeepExceptions $keep): JsonResponse
    {
        $keep->end($kit, Str::lower($id), $this->user($request), $this->today());

        return new JsonResponse(null, 204);
    }

    #[OA\Post(path: '/kits/{kit}/modules', operationId: 'addModule', tags: ['kits'], description: 'Puts a module that is there into a kit.')]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: AddedModule::class))]
    #[OA\Response(response: 200, description: 'The kit with it, judged again', content: new OA\JsonContent(ref: KitResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function addModule(AddedModule $request, Kit $kit, MoveModule $move, ReadKit $describe): JsonResponse
    {
        $module = Kit::query()->where('code', $request->validated('module'))->firstOrFail();
        $move->putIn($module, $kit, $this->user($request), now(), $this->today());

        return $this->json($describe($kit->fresh() ?? $kit, $this->today()));
    }

    #[OA\Delete(
        path: '/kits/{kit}/modules/{module}',
        operationId: 'removeModule',
        tags: ['kits'],
        description: 'Takes a module out of a kit, with what is in it.',
    )]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'module', in: 'path', required: true, description: 'The code of the module', schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The kit without it, judged again', content: new OA\JsonContent(ref: KitResource::class))]
    #[OA\Response(response: 422, description: 'It is not in this kit')]
    public function removeModule(Request $request, Kit $kit, string $module, MoveModule $move, ReadKit $describe): JsonResponse
    {
        $inside = $kit->modules->firstWhere('code', $module);
        if ($inside !== null) {
            $move->takeOut($inside, $this->user($request), now(), $this->today());
        } elseif (Kit::byThemselves()->where('code', $module)->doesntExist()) {
            abort(422, "{$kit->code} has no module {$module} in it. Open the kit again.");
        }

        return $this->json($describe($kit->fresh() ?? $kit, $this->today()));
    }
}
