<?php

declare(strict_types=1);

namespace Tests\Support;

use Isleward\Core\Tests\Support\GridSample;
use Isleward\Core\Unit\Stock;

/**
 * A project with one of everything in it, and of every edit and every route a request that is right: what a fuzzer spoils one thing of, and
 * what a law over all edits runs through.
 */
final class Furnished
{
    /** @var array<string, string> ids by what they are */
    public array $ids = [];

    /**
     * @param  \Closure(string, string, mixed, string): array<string, mixed>  $ask  method, address below the project, body, content type →
     *    the answer
     * @param  \Closure(): object{id: string, change_number: int}  $project  as it is now
     */
    public function __construct(private readonly \Closure $ask, private readonly \Closure $project, private readonly int $owner)
    {
        $view = $this->ask('GET', '');
        [$south, $east] = array_column($view['walls'], 'id');
        [$quay, $charts] = array_column($view['storeys'], 'id');
        $types = array_column($view['types'], 'id', 'mark');
        $this->ids = [
            'south' => $south, 'east' => $east, 'quay' => $quay, 'charts' => $charts,
            'outline' => $view['outlines'][0]['id'], 'W-03' => $types['W-03'], 'fixed' => $types['W-01'],
            'D-01' => $types['D-01'] ?? reset($types),
        ];
        $place = fn (
            string $name,
            float $left,
            string $storey,
            array $more = [],
        ) => $this->ids[$name] = $this->do('opening.place', $more + $this->placing($left, $storey))['chosen'][0];
        $place('first', 700, $quay);
        $place('second', 3000, $quay);
        $place('third', 5600, $quay);
        $place('above', 700, $charts);
        $place('bare', 8600, $quay, ['type' => null, 'width' => 900, 'height' => 900, 'sill' => ['from' => 'floor', 'height' => 900]]);
        $place('close', 10700, $charts); // near the corner: found
        $line = $this->do('line.add', ['host' => $south, 'axis' => 'upright', 'rule' => ['from' => 'left', 'value' => 7000]]);
        $this->ids['line'] = $line['chosen'][0];
        $this->ids['level'] = $this->do(
            'line.add',
            ['host' => $south, 'axis' => 'level', 'storey' => $quay, 'rule' => ['from' => 'floor', 'height' => 2100]],
        )['chosen'][0];
        $this->ids['spare'] = $this->do('type.add', ['mark' => 'X-01', 'name' => 'spare', 'sill' => 900] + $this->draft())['chosen'][0];
        $this->ids['grid'] = $this->do('grid.add', ['name' => 'a grid'] + GridSample::values())['chosen'][0];
        $this->ids['spareGrid'] = $this->do('grid.add', ['name' => 'a spare grid'] + GridSample::values())['chosen'][0];
        $this->ids['run'] = $this->do('outline.draw', [
            'points' => [[60000, 0], [66000, 0], [66000, 5000]], 'closed' => false, 'grid' => $this->ids['grid'], 'base' => $quay,
            'top' => $quay,
        ])['chosen'][0];
        $this->ids['letIn'] = $this->do('opening.place', [
            'host' => $east, 'storey' => $quay, 'type' => null, 'grid' => $this->ids['grid'], 'width' => 1800, 'height' => 2400,
            'position' => ['from' => 'right', 'value' => 900, 'to' => 'near'], 'sill' => ['from' => 'floor', 'height' => 0],
        ])['chosen'][0];
        $this->ids['floor'] = $this->do('floor-band.add', ['storey' => $quay, 'outline' => $this->ids['outline']])['chosen'][0];
        $this->ids['roof'] = $this->do('roof.add', ['outline' => $this->ids['outline']])['chosen'][0];
        $light = ['id' => $this->ids['roof'], 'type' => $this->ids['fixed'], 'wall' => $south];
        $this->do('roof.light', $light + ['along' => 2500, 'rise' => 700]);
        $this->ids['field'] = $this->do('field.fill', ['opening' => $this->ids['second']])['chosen'][0];
        $this->ids['band'] = $this->do('band.add', ['storey' => $quay, 'walls' => [$south], 'spaced' => ['size' => 500]])['chosen'][0];
        $this->ids['bandToo'] = $this->do('band.add', ['storey' => $quay, 'walls' => [$south]])['chosen'][0];
        $this->ids['screen'] = $this->do('screen.add', ['storey' => $quay, 'walls' => [$south], 'gap' => 200])['chosen'][0];
        $box = ['form' => 'rectangle', 'v' => 900, 'width' => 500, 'height' => 400];
        foreach ([300, 1100, 2100] as $u) {
            $this->do('screen.draw', ['id' => $this->ids['screen'], 'cut' => true, 'wall' => $south, 'shape' => ['u' => $u] + $box]);
        }
        $this->do('curtain.hand', ['ids' => [$this->ids['run']], 'free' => [['fromU' => 0, 'fromV' => 0, 'toU' => 1500, 'toV' => 1800]]]);
        $upload = fn (string $kind, string $content): array => ($this->ask)(
            'POST',
            "uploads/$kind?name=given.csv",
            $content,
            'application/octet-stream',
        );
        $this->ids['table'] = $upload('schedule', "Mark,Width,Height,Sill\nW-03,1200,1500,900\nZ-9,800,600,900\n")['file'];
        $this->ids['lines'] = $upload(
            'tracing',
            '<svg xmlns="http://www.w3.org/2000/svg" width="120" height="80"><path d="M0 0H120V80H0zM10 0v3M22 0v3"/></svg>',
        )['file'];
        $this->ids['png'] = $upload('tracing', (string) file_get_contents(dirname(__DIR__, 2).'/docs/screenshots/plan.png'))['file'];
        foreach ($this->keeping() as $kind => $args) {
            $this->ids[$kind] = $this->do("$kind.keep", ['name' => "The first $kind"] + $args)['chosen'][0];
        }
        $elevation = $this->ask('GET', 'elevations/'.$view['frontages'][0]['id']);
        $this->ids['frontage'] = $view['frontages'][0]['id'];
        $finding = $elevation['findings'][0] ?? throw new \LogicException('Something is near the corner.');
        $this->ids['finding'] = $finding['key'];
        $this->ids['acceptance'] = $this->do(
            'finding.accept',
            ['host' => $finding['host'], 'finding' => $finding['key'], 'figure' => $finding['figure'], 'note' => 'agreed'],
        )['chosen'][0] ?? '';
        $accepted = $this->ask('GET', 'elevations/'.$view['frontages'][0]['id'])['findings'];
        $this->ids['acceptance'] = array_values(array_filter(array_column($accepted, 'accepted')))[0]['id'];
        ($this->ask)('POST', 'revisions', ['note' => 'as it is'], 'application/json');
        $this->do('opening.change', ['id' => $this->ids['third'], 'by' => ['u' => 10]]);
        $this->ids['invitation'] = ($this->ask)(
            'POST',
            'invitations',
            ['email' => 'tam@quay.example', 'role' => 'viewer'],
            'application/json',
        )['id'];
        $link = ($this->ask)('POST', 'links', ['name' => 'client'], 'application/json');
        $this->ids['link'] = $link['id'];
        $this->ids['token'] = substr($link['address'], (int) strrpos($link['address'], '/') + 1);
        $this->ids['task'] = ($this->ask)(
            'POST',
            'sheets',
            ['paper' => 'A4', 'format' => 'zip', 'ids' => [$this->ids['W-03']]],
            'application/json',
        )['id'];
    }

    /** @return array<string, array<string, mixed>> arguments of every edit, such as are done when they are asked for */
    public function edits(): array
    {
        $i = $this->ids;
        $chosen = ['ids' => [$i['first'], $i['second']]];
        $keep = [];
        foreach ($this->keeping() as $kind => $args) {
            $keep["$kind.keep"] = ['name' => "Another $kind"] + ($kind === 'sheet' ? ['number' => '9'] : []) + $args;
            $keep["$kind.remove"] = ['id' => $i[$kind]];
        }

        return $keep + [
            'settings.change' => ['name' => 'Renamed', 'cornerMargin' => 160, 'north' => 15],
            'storey.insert' => ['name' => 'Loft', 'height' => '3.1 m', 'above' => $i['charts']],
            'storey.change' => ['id' => $i['quay'], 'height' => 4300],
            'storey.remove' => ['id' => $i['charts'], 'withContents' => true],
            'outline.draw' => [
                'points' => [[20000, 0], [28000, 0], [28000, 6000], [20000, 6000]], 'thickness' => 200,
                'base' => $i['quay'], 'top' => $i['charts'], 'closed' => true,
            ],
            'outline.change' => ['id' => $i['outline'], 'slab' => '0.2 m', 'name' => 'The house'],
            'outline.turn' => ['id' => $i['outline']],
            'outline.remove' => ['id' => $i['outline'], 'withContents' => true],
            'wall.change' => ['walls' => [$i['south']], 'thickness' => 350],
            'wall.move' => ['wall' => $i['south'], 'by' => 250],
            'wall.turn' => ['wall' => $i['south'], 'degrees' => 2, 'about' => 'left'],
            'wall.stack' => ['walls' => [$i['south']], 'from' => $i['quay'], 'storeys' => [$i['charts']], 'fit' => 'fitting'],
            'wall.bend' => ['wall' => $i['south'], 'rise' => '0.6 m', 'keeps' => 'radius'],
            'outline.round' => ['outline' => $i['outline'], 'radius' => 900],
            'outline.recess' => ['wall' => $i['east'], 'from' => 2000, 'to' => 5000, 'depth' => 900],
            'line.add' => ['host' => $i['east'], 'axis' => 'upright', 'rule' => ['from' => 'left', 'value' => '1200+150']],
            'line.across' => ['id' => $i['level'], 'side' => 'right'],
            'line.change' => ['id' => $i['line'], 'value' => 7100],
            'line.remove' => ['ids' => [$i['line']], 'keepFigures' => true],
            'opening.place' => $this->placing(7400, $i['charts']),
            'opening.change' => ['id' => $i['first'], 'width' => 1000, 'sill' => ['from' => 'floor', 'height' => 850]],
            'opening.change-each' => ['changes' => [['id' => $i['first'], 'width' => 1010]], 'fit' => 'fitting'],
            'opening.remove' => $chosen + ['keepFigures' => true],
            'opening.repeat' => ['ids' => [$i['above']], 'by' => 'pitch', 'count' => 2, 'pitch' => 2000],
            'opening.space' => ['ids' => [$i['first'], $i['second'], $i['third']], 'between' => 'outer', 'by' => 'gaps'],
            'opening.copy' => ['ids' => [$i['first']], 'walls' => [$i['east']]],
            'opening.stack' => ['ids' => [$i['second']], 'storeys' => [$i['charts']], 'fit' => 'fitting'],
            'opening.mirror' => ['ids' => [$i['third']], 'about' => 'middle', 'copy' => false],
            'opening.align' => $chosen + ['edge' => 'head', 'to' => $i['bare'], 'hold' => false],
            'opening.carry' => ['from' => $i['first'], 'ids' => [$i['bare']], 'settings' => ['width']],
            'opening.fill' => ['ids' => [$i['bare']], 'window' => $i['W-03']],
            'opening.empty' => $chosen,
            'opening.own-type' => ['ids' => [$i['second']]],
            'opening.from-marks' => [
                'storey' => $i['charts'], 'type' => $i['W-03'],
                'marks' => [['host' => $i['south'], 'from' => 4000, 'to' => 5200]],
            ],
            'opening.number' => ['text' => '{storey}-{n}', 'order' => 'storey', 'start' => 1, 'digits' => 2],
            'grid.add' => ['mark' => 'CW-09', 'name' => 'another grid', 'corner' => ['kind' => 'glass',
                'joint' => 12]] + GridSample::values(),
            'grid.change' => ['id' => $i['grid'], 'fit' => 'fitting'] + GridSample::values(['bays' => ['by' => 'count', 'count' => 3]]),
            'grid.remove' => ['id' => $i['grid'], 'instead' => $i['spareGrid']],
            'grid.own' => ['ids' => [$i['run'], $i['letIn']]],
            'curtain.set' => [
                'walls' => [$i['run']], 'lean' => 12, 'foot' => 50, 'footFrom' => 'datum', 'height' => '2.8 m', 'square' => true,
                'rows' => ['walls' => [$i['south']], 'to' => 'sides'],
            ],
            'curtain.before' => ['walls' => [$i['south']], 'grid' => $i['grid'], 'offset' => 900],
            'curtain.hand' => [
                'ids' => [$i['run']],
                'lines' => [['axis' => 'level', 'done' => 'added', 'from' => 'start', 'at' => '0.9 m', 'within' => '0']],
                'infills' => [['left' => '2', 'foot' => '0', 'infill' => ['kind' => 'unit', 'type' => $i['W-03']]]],
            ],
            'opening.curtain' => ['ids' => [$i['bare']], 'grid' => $i['grid'], 'fit' => 'all'],
            'type.add' => ['mark' => 'X-02', 'name' => 'another', 'sill' => 900] + $this->draft(),
            'type.change' => ['id' => $i['spare'], 'width' => 1300, 'name' => 'wider'],
            'type.remove' => ['id' => $i['spare']],
            'type.clear' => ['ids' => [$i['spare']]],
            'band.add' => [
                'storey' => $i['quay'], 'walls' => [$i['south']], 'gap' => '0.1 m', 'spaced' => ['by' => 'pitch', 'size' => 300],
                'laws' => ['reach' => ['kind' => 'wave', 'from' => 100, 'to' => '0.4 m', 'waves' => 2], 'turn' => 20],
            ],
            'band.change' => ['ids' => [$i['band']], 'foot' => 50, 'laws' => ['reach' => ['kind' => 'ramp', 'from' => 50, 'to' => 300]]],
            'field.fill' => ['opening' => $i['first'], 'angle' => 90, 'wide' => '30 mm', 'battens' => ['by' => 'pitch', 'size' => 120]],
            'field.change' => ['id' => $i['field'], 'turn' => 20, 'battens' => ['by' => 'count', 'count' => 7]],
            'field.copy' => ['id' => $i['field'], 'openings' => [$i['first']]],
            'field.remove' => ['ids' => [$i['field']]],
            'floor-band.add' => ['storey' => $i['quay'], 'outline' => $i['outline'], 'height' => '0.2 m', 'out' => 100,
                'edge' => 'chamfered'],
            'floor-band.change' => ['id' => $i['floor'], 'top' => $i['charts'], 'out' => ['kind' => 'ramp', 'from' => 0, 'to' => 300]],
            'floor-band.remove' => ['ids' => [$i['floor']]],
            'roof.add' => ['outline' => $i['outline'], 'storey' => $i['quay'], 'pitch' => '9 : 12', 'overhang' => '0.3 m'],
            'roof.change' => ['id' => $i['roof'], 'eaves' => '4.1 m', 'ridge' => 9000, 'along' => true],
            'roof.remove' => ['ids' => [$i['roof']]],
            'roof.light' => ['id' => $i['roof'], 'type' => $i['fixed'], 'wall' => $i['south'], 'from' => 'middle', 'rise' => '0.9 m'],
            'roof.light-remove' => ['id' => $i['roof'], 'ns' => [1]],
            'wall.edge' => ['walls' => [$i['south']], 'head' => ['points' => [
                ['along' => 0, 'over' => '0.3 m'], ['along' => 2000, 'over' => 300], ['along' => 2000, 'over' => 0],
            ]]],
            'band.remove' => ['ids' => [$i['band']]],
            'layer.carry' => ['id' => $i['band'], 'to' => [$i['bandToo']]],
            'band.pin' => ['id' => $i['band'], 'pieces' => [1, 2], 'reach' => '0.2 m'],
            'band.draw' => ['id' => $i['band'], 'of' => 'reach', 'kind' => 'wave'],
            'band.move' => ['ids' => [$i['band'], $i['bandToo']], 'up' => '0.15 m', 'out' => 40],
            'band.copy' => ['ids' => [$i['band'], $i['floor']], 'times' => 2, 'up' => '0.9 m', 'shift' => 10],
            'band.space' => ['ids' => [$i['band'], $i['bandToo']], 'by' => 'centres', 'ends' => true],
            'band.mirror' => ['ids' => [$i['bandToo']]],
            'band.carry' => ['id' => $i['band'], 'storeys' => [$i['charts']], 'shift' => 25, 'mirrored' => true, 'which' => ['reach']],
            'screen.add' => ['storey' => $i['quay'], 'outline' => $i['outline'], 'gap' => '0.4 m', 'thick' => 15, 'height' => 2400],
            'screen.change' => ['id' => $i['screen'], 'gap' => 250, 'edges' => true, 'reveals' => true],
            'screen.draw' => ['id' => $i['screen'], 'cut' => true, 'wall' => $i['south'], 'shape' => [
                'form' => 'polygon', 'points' => [[300, 1600], [900, 1600], [900, 2000, 120], [300, 2000]], 'grow' => '10 mm',
            ]],
            'screen.move' => ['id' => $i['screen'], 'parts' => [2], 'du' => 40, 'dv' => '15 mm'],
            'screen.copy' => ['id' => $i['screen'], 'parts' => [2, 3], 'dv' => 600, 'times' => 2],
            'screen.mirror' => ['id' => $i['screen'], 'parts' => [2], 'about' => 1500, 'keep' => true],
            'screen.space' => ['id' => $i['screen'], 'parts' => [2, 3, 4], 'by' => 'gaps'],
            'screen.take-out' => ['id' => $i['screen'], 'parts' => [3]],
            'screen.remove' => ['ids' => [$i['screen']]],
            'type.import' => ['document' => $this->ask('GET', 'exports/types.json?ids='.$i['spare']), 'marks' => ['X-01']],
            'type.from-lines' => [
                'lines' => [['mark' => 'Z-9', 'kind' => 'window', 'width' => 800, 'height' => 600, 'sill' => 900]],
                'fit' => 'all',
            ],
            'tracing.place' => ['id' => $i['tracing'], 'a' => [0, 0], 'to' => [25, 0]],
            'finding.accept' => ['host' => $i['south'], 'finding' => $i['finding'], 'figure' => 12.5, 'note' => 'looked at'],
            'finding.reopen' => ['id' => $i['acceptance']],
        ];
    }

    /**
     * @return array<string, array{string, string, mixed}> of every route (method and pattern as the router has it): method, address, body
     */
    public function requests(): array
    {
        $i = $this->ids;
        $p = '/api/projects/'.$this->project()->id;
        $layout = ['name' => 'As tried', ...$this->keeping()['layout']];
        $draft = $this->draft();
        $plan = [
            'name' => 'Sheet', 'number' => '2', 'paper' => 'A3',
            'items' => [['kind' => 'elevation', 'ref' => $i['frontage'], 'scale' => 100, 'x' => 20, 'y' => 20]],
        ];

        return [
            'GET api/session' => ['GET', '/api/session', null],
            'POST api/session' => ['POST', '/api/session', ['email' => 'nobody@quay.example', 'password' => 'harbour-light']],
            'POST api/passwords' => ['POST', '/api/passwords', ['email' => 'nobody@quay.example']],
            'POST api/passwords/{token}' => ['POST', '/api/passwords/none', ['password' => 'harbour-light']],
            'POST api/accounts/first' => [
                'POST', '/api/accounts/first', ['name' => 'Lis', 'email' => 'lis@quay.example', 'password' => 'long enough now'],
            ],
            'DELETE api/session' => ['DELETE', '/api/session', null],
            'DELETE api/account' => ['DELETE', '/api/account', ['password' => 'not this one']],
            'GET api/account' => ['GET', '/api/account', null],
            'PATCH api/account' => ['PATCH', '/api/account', ['name' => 'Lis Brandt']],
            'DELETE api/account/sessions' => ['DELETE', '/api/account/sessions', null],
            'DELETE api/account/sessions/{session}' => ['DELETE', '/api/account/sessions/'.str_repeat('a', 32), null],
            'GET api/invitations/{token}' => ['GET', '/api/invitations/'.str_repeat('a', 40), null],
            'POST api/invitations/{token}' => [
                'POST', '/api/invitations/'.str_repeat('a', 40), ['name' => 'Lis', 'password' => 'long enough now'],
            ],
            'GET api/links/{token}' => ['GET', '/api/links/'.$i['token'], null],
            'POST api/links/{token}' => ['POST', '/api/links/'.$i['token'], null],
            'GET api/lengths' => ['GET', '/api/lengths?text=1200%2B150&units=mm', null],
            'GET api/outbox' => ['GET', '/api/outbox', null],
            'GET api/projects' => ['GET', '/api/projects', null],
            'POST api/projects' => [
                'POST', '/api/projects',
                [
                    'name' => 'New', 'units' => 'mm', 'key' => 'windowNew.1',
                    'storeys' => [['name' => 'Quay', 'height' => 3000]],
                    'rectangle' => ['width' => 9000, 'depth' => 7000, 'thickness' => 300],
                ],
            ],
            'GET api/projects/{project}' => ['GET', $p, null],
            'DELETE api/projects/{project}' => ['DELETE', $p, null],
            'PATCH api/projects/{project}' => ['PATCH', $p, ['archived' => true]],
            'POST api/projects/{project}/duplicates' => ['POST', "$p/duplicates", ['name' => 'Once more']],
            'GET api/projects/{project}/picture' => ['GET', "$p/picture", null],
            'POST api/projects/{project}/bench' => [
                'POST', "$p/bench",
                ['draft' => $draft, 'steps' => [], 'ajar' => 0.3, 'light' => null, 'inside' => false],
            ],
            'POST api/projects/{project}/grid-bench' => [
                'POST', "$p/grid-bench",
                [
                    'draft' => GridSample::values() + ['corner' => ['kind' => 'glass', 'joint' => 10]],
                    'set' => [['path' => 'rules.bays.size', 'value' => '1.3 m']], 'width' => 7404, 'storeys' => 2, 'storey' => 3600,
                ],
            ],
            'POST api/projects/{project}/bench/solid' => ['POST', "$p/bench/solid", ['draft' => $draft, 'ajar' => 0.3]],
            'GET api/projects/{project}/changes' => ['GET', "$p/changes?about={$i['first']}", null],
            'POST api/projects/{project}/edits' => [
                'POST', "$p/edits?try=1&job=0",
                ['edit' => 'opening.place', 'args' => $this->placing(7400, $i['charts']), 'base' => 1, 'key' => 'windowFuzz.1'],
            ],
            'GET api/projects/{project}/elevations/{frontage}' => ['GET', "$p/elevations/{$i['frontage']}", null],
            'GET api/projects/{project}/exports/elevation.svg' => ['GET', "$p/exports/elevation.svg?scale=50&inner=0", null],
            'GET api/projects/{project}/exports/model.glb' => ['GET', "$p/exports/model.glb", null],
            'POST api/projects/{project}/exports/schedule.{format}' => ['POST', "$p/exports/schedule.csv", $layout],
            'GET api/projects/{project}/exports/schedules/{layout}.{format}' => ['GET', "$p/exports/schedules/{$i['layout']}.xlsx", null],
            'GET api/projects/{project}/exports/sheet-plans/{sheet}.{format}' => [
                'GET', "$p/exports/sheet-plans/{$i['sheet']}.svg?page=1", null,
            ],
            'GET api/projects/{project}/exports/sheets/{type}.{format}' => [
                'GET', "$p/exports/sheets/{$i['W-03']}.svg?paper=A3&page=1", null,
            ],
            'GET api/projects/{project}/exports/types.json' => ['GET', "$p/exports/types.json?ids={$i['W-03']}", null],
            'GET api/projects/{project}/files/{file}' => ['GET', "$p/files/{$i['lines']}", null],
            'GET api/projects/{project}/gather' => [
                'GET', "$p/gather?type={$i['W-03']}&width=1200&sill=900&facing=South&storey={$i['quay']}", null,
            ],
            'GET api/projects/{project}/givens/{given}/held' => ['GET', "$p/givens/{$i['given']}/held", null],
            'POST api/projects/{project}/invitations' => ['POST', "$p/invitations", ['email' => 'lis@quay.example', 'role' => 'editor']],
            'DELETE api/projects/{project}/invitations/{invitation}' => ['DELETE', "$p/invitations/{$i['invitation']}", null],
            'POST api/projects/{project}/links' => ['POST', "$p/links", ['name' => 'client']],
            'DELETE api/projects/{project}/links/{link}' => ['DELETE', "$p/links/{$i['link']}", null],
            'GET api/projects/{project}/marks/{storey}' => ['GET', "$p/marks/{$i['quay']}", null],
            'GET api/projects/{project}/people' => ['GET', "$p/people", null],
            'DELETE api/projects/{project}/people/{user}' => ['DELETE', "$p/people/$this->owner", null],
            'PATCH api/projects/{project}/people/{user}' => ['PATCH', "$p/people/$this->owner", ['role' => 'owner']],
            'GET api/projects/{project}/plans/{storey}' => ['GET', "$p/plans/{$i['quay']}", null],
            'POST api/projects/{project}/presence' => ['POST', "$p/presence", ['place' => 'the plan']],
            'POST api/projects/{project}/readings' => [
                'POST', "$p/readings",
                [
                    'file' => $i['table'], 'sheet' => 0, 'header' => 0,
                    'columns' => [
                        ['role' => 'mark', 'unit' => null, 'storey' => null],
                        ['role' => 'width', 'unit' => 'mm', 'storey' => null],
                    ],
                ],
            ],
            'POST api/projects/{project}/redo' => ['POST', "$p/redo", ['key' => 'windowFuzz.2']],
            'POST api/projects/{project}/undo' => ['POST', "$p/undo", ['key' => 'windowFuzz.3']],
            'GET api/projects/{project}/revisions' => ['GET', "$p/revisions", null],
            'POST api/projects/{project}/revisions' => ['POST', "$p/revisions", ['note' => 'kept', 'key' => 'windowFuzz.4']],
            'GET api/projects/{project}/revisions/{letter}/difference' => ['GET', "$p/revisions/A/difference?to=A", null],
            'POST api/projects/{project}/revisions/{letter}/restore' => [
                'POST', "$p/revisions/A/restore", ['base' => $this->project()->change_number, 'key' => 'windowFuzz.5'],
            ],
            'GET api/projects/{project}/scenes/{frontage}' => ['GET', "$p/scenes/{$i['frontage']}", null],
            'POST api/projects/{project}/schedules' => ['POST', "$p/schedules", $layout],
            'GET api/projects/{project}/schedules/{layout}' => ['GET', "$p/schedules/{$i['layout']}", null],
            'GET api/projects/{project}/sections' => ['GET', "$p/sections?points=5000,-2000,5000,9000&letters=180", null],
            'POST api/projects/{project}/sheet-plans' => ['POST', "$p/sheet-plans", $plan],
            'POST api/projects/{project}/sheets' => [
                'POST', "$p/sheets",
                ['paper' => 'A3', 'format' => 'pdf', 'ids' => [$i['W-03']], 'key' => 'windowFuzz.6'],
            ],
            'GET api/projects/{project}/tasks/{task}' => ['GET', "$p/tasks/{$i['task']}", null],
            'DELETE api/projects/{project}/tasks/{task}' => ['DELETE', "$p/tasks/{$i['task']}", null],
            'GET api/projects/{project}/tasks/{task}/file' => ['GET', "$p/tasks/{$i['task']}/file", null],
            'GET api/projects/{project}/type-drawings' => ['GET', "$p/type-drawings?ids={$i['W-03']}", null],
            'GET api/projects/{project}/unused-types' => ['GET', "$p/unused-types", null],
            'GET api/projects/{project}/types/{type}' => ['GET', "$p/types/{$i['W-03']}", null],
            'GET api/projects/{project}/types/{type}/sheet' => ['GET', "$p/types/{$i['W-03']}/sheet?paper=A3", null],
            'POST api/projects/{project}/uploads/schedule' => ['POST', "$p/uploads/schedule?name=given.csv", "Mark,Width\nA,900\n"],
            'POST api/projects/{project}/uploads/tracing' => [
                'POST', "$p/uploads/tracing?page=1&picture=0",
                '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><line x2="5"/></svg>',
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function placing(float $left, string $storey): array
    {
        return [
            'host' => $this->ids['south'], 'storey' => $storey, 'type' => $this->ids['W-03'],
            'position' => ['from' => 'left', 'value' => $left, 'to' => 'near'],
        ];
    }

    /** @return array<string, array<string, mixed>> what is kept under names, by kind, without the name */
    private function keeping(): array
    {
        $i = $this->ids;

        return [
            'set' => ['members' => [$i['first'], $i['second']]],
            'layout' => ['source' => 'openings', 'columns' => [
                ['key' => 'mark', 'name' => 'Mark'], ['key' => 'width'], ['key' => 'area'],
            ], 'merge' => false, 'groups' => ['storey'], 'sort' => [['key' => 'mark', 'down' => false]],
                'filters' => [['key' => 'width', 'test' => 'above', 'value' => '0.5 m']], 'totals' => true],
            'section' => ['fromX' => 5000, 'fromY' => -2000, 'toX' => 5000, 'toY' => 9000],
            'sheet' => [
                'number' => '1', 'paper' => 'A3',
                'items' => [['kind' => 'plan', 'ref' => $i['quay'], 'scale' => 100, 'x' => 20, 'y' => 20]],
            ],
            'given' => [
                'file' => $i['table'], 'sheet' => 0, 'header' => 0,
                'columns' => [
                    ['role' => 'mark', 'unit' => null, 'storey' => null],
                    ['role' => 'width', 'unit' => 'mm', 'storey' => null],
                    ['role' => 'height', 'unit' => 'mm', 'storey' => null],
                    ['role' => 'sill', 'unit' => 'mm', 'storey' => null],
                ],
            ],
            'tracing' => [
                'file' => $i['lines'], 'storeys' => [$i['quay']], 'width' => 120, 'height' => 80, 'scale' => 100,
                'x' => 0, 'y' => 0, 'angle' => 0, 'opacity' => 0.6, 'locked' => false,
            ],
            'picture' => ['file' => $i['png']],
        ];
    }

    /** @return array<string, mixed> */
    private function draft(): array
    {
        $ready = Stock::types()[2];

        return ['width' => $ready['width'], 'height' => $ready['height'], 'tree' => $ready['tree']];
    }

    /** @return object{id: string, change_number: int} */
    private function project(): object
    {
        return ($this->project)();
    }

    /**
     * @param  array<string, mixed>  $args
     * @return array<string, mixed>
     */
    private function do(string $edit, array $args): array
    {
        return ($this->ask)(
            'POST',
            'edits',
            ['edit' => $edit, 'args' => $args, 'base' => $this->project()->change_number],
            'application/json',
        );
    }

    /** @return array<string, mixed> */
    private function ask(string $method, string $path): array
    {
        return ($this->ask)($method, $path, null, 'application/json');
    }
}
