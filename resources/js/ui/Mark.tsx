/** Our mark: steps up from the water. */
export function Mark({ size = 28 }: { size?: number }) {
    return (
        <svg width={size} height={size} viewBox="0 0 32 32" aria-hidden="true" className="text-tide">
            <path d="M3 27V20h7v-6h7V8h7v19zM1 27h30" fill="none" stroke="currentColor" strokeWidth="2.2" strokeLinejoin="round" />
        </svg>
    );
}
