<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Assembly\Assembly;
use App\Derived\ElevationView;
use App\Derived\Structure;
use App\Models\Project;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Isleward\Core\Design\Acceptance;
use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Drawing\Plan;
use Isleward\Core\Exchange\Glb;
use Isleward\Core\Scene\Scene;
use Isleward\Core\Wall\Frontage;
use OpenApi\Attributes as OA;

/** What is worked out from a design, by frontage and by storey, answered 304 when the content is the same. */
final readonly class DrawingController
{
    public function __construct(private Assembly $assembly)
    {
    }

    #[OA\Get(path: '/projects/{project}/elevations/{frontage}', operationId: 'elevation', summary: 'A frontage with its openings, lines to catch on and findings',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'frontage', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(response: 200, description: 'The elevation', content: new OA\JsonContent(ref: '#/components/schemas/Elevation')),
            new OA\Response(response: 304, description: 'As you have it'),
        ])]
    public function elevation(Request $request, Project $project, string $frontage): Response
    {
        $structure = new Structure($this->assembly, $project);
        $found = $this->found($structure, $frontage);
        $openings = $structure->openingsOf($found);
        $walls = array_keys($found->walls);
        $acceptances = $structure->acceptances($walls);
        $hash = $structure->hash('elevation '.$found->id.' '.json_encode(array_map(static fn (Acceptance $a): array => $a->toArray(), $acceptances), JSON_THROW_ON_ERROR), $openings, $walls);

        return $this->answer($request, $hash, 'application/json', static fn (): string => json_encode(
            ElevationView::of($structure->with($openings, $walls), $structure->bodies(), $found, $acceptances), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION));
    }

    #[OA\Get(path: '/projects/{project}/plans/{storey}', operationId: 'plan', summary: 'A storey’s plan',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'storey', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(response: 200, description: 'The plan', content: new OA\JsonContent(ref: '#/components/schemas/Plan')),
            new OA\Response(response: 304, description: 'As you have it'),
        ])]
    public function plan(Request $request, Project $project, string $storey): Response
    {
        $structure = new Structure($this->assembly, $project);
        abort_unless($structure->design()->storeys->has($storey), 404);
        $openings = $structure->openings(static fn (Builder $q) => $q->where('storey_id', $storey));

        return $this->answer($request, $structure->hash('plan '.$storey, $openings), 'application/json', static function () use ($structure, $openings, $storey): string {
            [$drawing, $units, $walls] = Plan::of($structure->with($openings), $structure->bodies(), $storey);

            return json_encode([
                'storey' => $storey,
                'drawing' => $drawing->toArray(),
                'walls' => $walls,
                'openings' => $units === [] ? (object) [] : array_map(Drawing::plain(...), $units),
            ], JSON_THROW_ON_ERROR);
        });
    }

    #[OA\Get(path: '/projects/{project}/scenes/{frontage}', operationId: 'scene', summary: 'A frontage’s solid parts as GLB',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'frontage', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(response: 200, description: 'Binary glTF', content: new OA\MediaType(mediaType: 'model/gltf-binary', schema: new OA\Schema(type: 'string', format: 'binary'))),
            new OA\Response(response: 304, description: 'As you have it'),
        ])]
    public function scene(Request $request, Project $project, string $frontage): Response
    {
        $structure = new Structure($this->assembly, $project);
        $found = $this->found($structure, $frontage);
        $openings = $structure->openingsOf($found);

        return $this->answer($request, $structure->hash('scene '.$found->id, $openings), 'model/gltf-binary', static fn (): string => Glb::write(Scene::of(
            $found->name, $structure->with($openings), array_intersect_key($structure->bodies(), $found->walls))));
    }

    private function found(Structure $structure, string $frontage): Frontage
    {
        return $structure->frontage($frontage) ?? abort(404);
    }

    /** @param  \Closure(): string  $make */
    private function answer(Request $request, string $hash, string $type, \Closure $make): Response
    {
        $response = new Response('', 200, ['Content-Type' => $type, 'Cache-Control' => 'private, no-cache']);
        $response->setEtag($hash);
        if (! $response->isNotModified($request)) {
            $content = Cache::store(config()->string('isleward.derived_store'))->remember($hash, 86400, $make);
            $response->setContent($content);
        }

        return $response;
    }
}
