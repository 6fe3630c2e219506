export default function ownTemporaryFolder(): void
