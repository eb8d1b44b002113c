import { Figure } from '../card/Figure';

type Props = {
    /** from upright, degrees, inward; null where several differ */
    lean: number | null;
    disabled: boolean;
    onSend: (lean: number) => Promise<string | null>;
};

/** How a stretch stands, as an angle from the ground. */
export function LeanFigure({ lean, disabled, onSend }: Props) {
    return (
        <Figure
            label="Angle from the ground"
            shown={lean === null ? 'at various angles' : `${+(90 - lean).toFixed(2)}°`}
            disabled={disabled}
            onSend={(text) => {
                const degrees = Number(text.replace('°', '').replace(',', '.'));
                return Number.isFinite(degrees) ? onSend(90 - degrees) : Promise.resolve(`“${text}” is no angle in degrees.`);
            }}
        />
    );
}
