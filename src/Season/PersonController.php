<?php

declare(strict_types=1);

namespace Octavum\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\SettingsPage;
use Octavum\Input\Entry;
use Octavum\Page\Toast;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Those who are sewn for. */
final class PersonController extends AbstractController
{
    #[Route('/people', name: 'person_save', methods: ['POST'])]
    public function save(Request $request, EntityManagerInterface $entities, SettingsPage $page, Toast $toast, #[CurrentUser] Account $account): Response
    {
        $entry = new Entry($request->request->all());
        $id = $entry->raw('id');
        $person = '' === $id ? new PersonRecord($account) : $entities->getRepository(PersonRecord::class)->findOneBy(['id' => $id, 'account' => $account]) ?? throw $this->createNotFoundException();
        $name = $entry->name('personName');
        if (!$entry->isSound()) {
            return $page->show($account, $entry);
        }
        $person->name = $name;
        $person->child = $entry->boolean('child');
        $entities->persist($person);
        $entities->flush();
        $toast->say('{person} is saved.', ['person' => $name]);

        return $this->redirectToRoute('settings');
    }
}
