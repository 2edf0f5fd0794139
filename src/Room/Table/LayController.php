<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Account\Mine;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Lay\LayRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;

/** A saved lay on paper, as a drawing, put away and back. */
#[Route('/table')]
final class LayController extends AbstractController
{
    public function __construct(
        private readonly LayFinder $lays,
        private readonly ChangeLog $changes,
    ) {
    }

    #[Route('/{id}/print', name: 'table_print', requirements: ['id' => Requirement::ULID], methods: ['GET'])]
    public function print(#[Mine] LayRecord $record, LayDrawing $drawing): Response
    {
        $lay = $this->lays->lay($record);

        return $this->render('table/print.html.twig', ['lay' => $lay, 'sheets' => $drawing->sheets($lay)]);
    }

    /** To scale: a millimetre of the file is a millimetre of cloth. */
    #[Route('/{id}.svg', name: 'table_svg', requirements: ['id' => Requirement::ULID], methods: ['GET'])]
    public function svg(#[Mine] LayRecord $record, LayDrawing $drawing): Response
    {
        $lay = $this->lays->lay($record);

        return new Response(
            $this->renderView('table/lay.svg.twig', ['lay' => $lay, 'sheets' => $drawing->sheets($lay)]),
            headers: [
                'Content-Type' => 'image/svg+xml',
                'Content-Disposition' => 'attachment; filename="lay.svg"',
            ],
        );
    }

    #[Route('/{id}/remove', name: 'table_remove', requirements: ['id' => Requirement::ULID], methods: ['POST'])]
    public function remove(#[Mine] LayRecord $record): Response
    {
        $notice = new Notice('{lay} is put away.', ['lay' => $record->name], $this->generateUrl('table'));
        $this->changes->remove($record, $notice);

        return $this->redirectToRoute('table');
    }
}
