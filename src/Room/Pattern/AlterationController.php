<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\Mine;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Piece\Role;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Person\People;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Alterations of a pattern, kept for each person. */
final class AlterationController extends AbstractController
{
    #[Route('/patterns/{id}/alterations', name: 'pattern_alterations', methods: ['GET', 'POST'])]
    public function edit(
        #[Mine] PatternRecord $record,
        Request $request,
        PatternMapper $mapper,
        People $people,
        AccountSettings $accountSettings,
        Settings $settings,
        ChangeLog $changes,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        $everyone = $people->all($account);
        $pattern = $mapper->pattern($record);
        $tape = $accountSettings->tape();
        $rows = array_map(
            static fn (KeptAlteration $one): array => [
                'person' => $one->person,
                'name' => $one->name,
                'length' => null === $one->length ? '' : $tape->typed($one->length, small: true),
                'drawn' => $one->drawn ? '1' : '',
            ],
            $pattern->alterations,
        );
        if ($request->isMethod('POST')) {
            $kept = [];
            foreach ($entry->rows('rows') as $i) {
                $at = 'rows.'.$i.'.';
                if ('' === $entry->raw($at.'name') && '' === $entry->raw($at.'length')) {
                    continue;
                }
                $person = $entry->raw($at.'person');
                if (!isset($everyone[$person])) {
                    $entry->fault($at.'person', new Sentence('Choose who this is for: alterations belong to a person.'));
                }
                $kept[] = new KeptAlteration(
                    $person,
                    $entry->name($at.'name'),
                    $entry->change($at.'length', $settings->system->widthUnit()),
                    $entry->boolean($at.'drawn'),
                    $this->roles($pattern, $person, $entry->raw($at.'name')),
                );
            }
            Revision::check($entry, $record->revision, ['rows' => $rows]);
            if ($entry->isSound()) {
                $here = $this->generateUrl('pattern', ['id' => $record->id]);
                $notice = new Notice('The alterations of {pattern} are kept.', ['pattern' => $pattern->title], $here);
                $changes->commit([$record], static fn () => $mapper->keep($kept, $record), $notice);

                return $this->redirect($here);
            }
        }

        return $this->render(
            'pattern/alterations.html.twig',
            [
                'pattern' => $pattern,
                'record' => $record,
                'people' => $everyone,
                'values' => $entry->typed + ['rows' => $rows],
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }

    /** @return list<Role> that it lengthened before */
    private function roles(Pattern $pattern, string $person, string $name): array
    {
        foreach ($pattern->alterationsFor($person) as $kept) {
            if ($kept->name === $name) {
                return $kept->roles;
            }
        }

        return KeptAlteration::ROLES;
    }
}
