<?php

declare(strict_types=1);

namespace Octavum\Room\Settings;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Match\Sewist;
use Octavum\Core\Match\ToileSchool;
use Octavum\Core\Match\Tool;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Workroom\Settings;
use Octavum\Document\SettingsCodec;
use Octavum\Input\Entry;
use Octavum\Page\Toast;
use Octavum\Store\TakeBack;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What whoever sews would rather not do, wants to learn and has not; the Bench counts it. */
final class SewingController extends AbstractController
{
    #[Route('/settings/sewing', name: 'settings_sewing', methods: ['POST'])]
    public function save(
        Request $request,
        AccountSettings $settings,
        SettingsCodec $codec,
        EntityManagerInterface $entities,
        TakeBack $takeBack,
        Toast $toast,
        #[CurrentUser] Account $account,
    ): Response {
        $entry = new Entry($request->request->all());
        $was = $settings->of($account);
        $before = $takeBack->state([$account]);
        $account->settings = $codec->write(new Settings(
            $was->system,
            $was->counter,
            $was->currency,
            $was->assumptions,
            $was->dialect,
            $was->dates,
            $was->bothUnits,
            new Sewist(
                self::ticked($entry, 'avoids', Technique::cases()),
                self::ticked($entry, 'learns', Technique::cases()),
                self::ticked($entry, 'lacks', Tool::cases()),
                $entry->choice('toiles', ToileSchool::class) ?? $was->sewist->toiles,
            ),
        ));
        $entities->flush();
        $back = $this->generateUrl('settings').'#sewing';
        $undo = $this->generateUrl('undo', ['key' => $takeBack->keep($before, [$account]), 'back' => $back]);
        $toast->say('How you sew is saved.', [], $undo);

        return $this->redirect($back);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param list<T> $cases
     *
     * @return list<T>
     */
    private static function ticked(Entry $entry, string $field, array $cases): array
    {
        $ticked = $entry->typed[$field] ?? [];

        return array_values(array_filter(
            $cases,
            static fn (\BackedEnum $one): bool => \is_array($ticked) && \in_array($one->value, $ticked, true),
        ));
    }
}
